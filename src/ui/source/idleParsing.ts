/**
 * The editor's library parses ahead for 100 ms at a time where a browser can say that input waits (`isInputPending`), and
 * asks for that a key at a time; else only as long as the browser is idle. What is typed into the slip would wait for it.
 */
Object.defineProperty(navigator, "scheduling", { value: undefined, configurable: true });
