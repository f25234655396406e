/** What is not needed for the next frame waits until no more typing follows at once. */
export function calm(milliseconds = 80): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}
