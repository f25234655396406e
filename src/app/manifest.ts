import type { MetadataRoute } from "next";

/** Web Application Manifest: it can be installed, and is offered for pages, sheets and zips. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: "Hevret",
    short_name: "Hevret",
    description: "A desk for the type and colour of a website.",
    start_url: "/",
    scope: "/",
    display: "standalone",
    background_color: "#c6c7c7",
    theme_color: "#15352c",
    icons: [{ src: "/icon.svg", sizes: "any", type: "image/svg+xml" }],
    file_handlers: [
      {
        action: "/",
        accept: {
          "text/html": [".html", ".htm", ".xhtml"],
          "text/css": [".css"],
          "application/zip": [".zip"],
        },
      },
    ],
  };
}
