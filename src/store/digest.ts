/** What bytes are known by: their SHA-256 in hexadecimal digits (FIPS 180-4, 6.2). */
export async function digestOf(bytes: Uint8Array): Promise<string> {
  const digest = new Uint8Array(await crypto.subtle.digest("SHA-256", bytes as BufferSource));
  return [...digest].map((byte) => byte.toString(16).padStart(2, "0")).join("");
}
