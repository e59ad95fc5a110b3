/** Hands a file over to the downloads of the browser. */
export function saveAs(fileName: string, content: Blob): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = fileName;
  link.click();
  // The browser has taken hold of it by then.
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}
