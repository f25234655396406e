/** Parts of css-tree on their own, without its grammar and parser: they are all that is needed beside the page. */
declare module "css-tree/tokenizer" {
  export { tokenize, tokenTypes } from "css-tree";
}

declare module "css-tree/utils" {
  export { ident, string, url } from "css-tree";
}
