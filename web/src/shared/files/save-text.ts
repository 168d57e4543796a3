/** Gives the browser a file to keep. */
export function saveText(name: string, text: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type: `${type};charset=utf-8` }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The download has begun by then; the page may not keep every file in memory.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
