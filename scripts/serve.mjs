// Serves the built application: `node scripts/serve.mjs [port]`. Addresses that cannot be read get our page, too.
import { createServer } from "node:http";
import { join } from "node:path";
import next from "next";
import sirv from "sirv";
import { headers } from "./headers.mjs";
import { root } from "./setup.mjs";

const port = Number(process.argv[2] ?? process.env.PORT ?? 3000);
const application = next({ dev: false, dir: root, hostname: "localhost", port });
await application.prepare();
const answer = application.getRequestHandler();

/** Where files of the build are asked for. */
const built = "/_next/static/";

/** Files of the build, as they were compressed when it was made: their names change with what they hold. */
const file = sirv(join(root, ".next/static"), {
  gzip: true,
  immutable: true,
  maxAge: 365 * 24 * 60 * 60,
  setHeaders: (response) => headers(false).forEach(({ key, value }) => response.setHeader(key, value)),
});

/** Whether the path of an address can be read (URL Standard, 1.3). */
function isReadable(url) {
  try {
    decodeURIComponent(url.split(/[?#]/)[0]);
    return true;
  } catch {
    return false;
  }
}

createServer((request, response) => {
  if (!isReadable(request.url)) request.url = "/no-such-page";
  const { url } = request;
  if (!url.startsWith(built)) return answer(request, response);
  request.url = url.slice(built.length - 1);
  file(request, response, () => {
    request.url = url;
    return answer(request, response);
  });
}).listen(port, "localhost", () => console.log(`Hevret is at http://localhost:${port}`));
