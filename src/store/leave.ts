/** Leave to read and write a folder, which the browser may want to be given anew (File System Access, 2.2). */

interface Asking {
  queryPermission?(options: { mode: "readwrite" }): Promise<PermissionState>;
  requestPermission?(options: { mode: "readwrite" }): Promise<PermissionState>;
}

/** Whether there is leave already; folders of browsers that do not ask have it. */
export async function hasLeave(folder: FileSystemDirectoryHandle & Asking): Promise<boolean> {
  return ((await folder.queryPermission?.({ mode: "readwrite" })) ?? "granted") === "granted";
}

/** Asks for leave; it has to follow from something that was pressed. */
export async function askLeave(folder: FileSystemDirectoryHandle & Asking): Promise<boolean> {
  return (await folder.requestPermission?.({ mode: "readwrite" })) !== "denied";
}
