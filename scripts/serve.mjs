// Serves the built application: `node scripts/serve.mjs [port]`. Addresses that cannot be read get our page, too.
import { createServer } from "node:http";
import next from "next";
import { root } from "./setup.mjs";

const port = Number(process.argv[2] ?? process.env.PORT ?? 3000);
const application = next({ dev: false, dir: root, hostname: "localhost", port });
await application.prepare();
const answer = application.getRequestHandler();

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
  answer(request, response);
}).listen(port, "localhost", () => console.log(`Hevret is at http://localhost:${port}`));
