/** Lets the browser save a text under a name. */
export const saveFile = (name: string, text: string, type = 'application/json'): void =>
  saveBlob(name, new Blob([text], { type }));

/** The same of anything. */
export function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
