/** Gives the browser a text to keep as a file. */
export function saveText(name: string, text: string, type: string): void {
  saveFile(name, new Blob([text], { type: `${type};charset=utf-8` }));
}

/** The same of a file that is no text. */
export function saveFile(name: string, file: Blob): void {
  const url = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The download has begun by then; the page may not keep every file in memory.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
