/** What a text says as JSON; undefined when it is none, e.g. storage that another program wrote. */
export function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    if (error instanceof SyntaxError) return undefined;
    throw error;
  }
}
