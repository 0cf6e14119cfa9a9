/** What is dragged out of the catalogue, told apart from rows by its id. */
export const newId = (slug: string) => `new:${slug}`;

export function slugOf(dragId: string): string | undefined {
  return dragId.startsWith('new:') ? dragId.slice(4) : undefined;
}
