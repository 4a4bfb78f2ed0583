/** Reads JSON; what is wrong is told with its line. */
export function parseJson(text: string): { value: unknown } | { problem: string } {
  try {
    return { value: JSON.parse(text) };
  } catch (problem) {
    return { problem: `This is not JSON: ${whereInJson(text, (problem as Error).message)}.` };
  }
}

/** Says which line of a text JSON stopped at. */
function whereInJson(text: string, message: string): string {
  // An engine that gives no position stopped at the end.
  const position = Number(/position (\d+)/.exec(message)?.[1] ?? text.length);
  return `line ${text.slice(0, position).split('\n').length}: ${message.replace(/ in JSON at position.*/, '')}`;
}
