/** Offers a text, or what was fetched, to the reader as a file of their own. */
export function saveFile(name: string, content: string | Blob, type = 'application/json'): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(
    typeof content === 'string' ? new Blob([content], { type }) : content,
  );
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
