/** Headers of everything that Hevret's server gives out, whether Next or a file's own server answers. */

// The page the user opens is shown in a frame that inherits this policy on top of its own; a worker has that of its file.
const policy = (isDevelopment) =>
  [
    "default-src 'self'",
    `script-src 'self' 'unsafe-inline'${isDevelopment ? " 'unsafe-eval'" : ""}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self' blob: data:",
    "media-src 'none'",
    "object-src 'none'",
    "frame-src blob:",
    "worker-src 'self' blob:",
    "connect-src 'self'",
    "form-action 'none'",
    "base-uri 'none'",
    "frame-ancestors 'none'",
  ].join("; ");

export const headers = (isDevelopment) => [
  { key: "Content-Security-Policy", value: policy(isDevelopment) },
  { key: "X-Content-Type-Options", value: "nosniff" },
  { key: "Referrer-Policy", value: "no-referrer" },
];
