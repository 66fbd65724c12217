const LONGEST_QUOTE = 60;

/** Characters that would break a line, hide, or turn the order of what stands around them. */
const UNSEEN = /[\u0000-\u001f\u007f-\u009f\u061c\u200b-\u200f\u2028-\u202e\u2060-\u206f\ufeff]/g;

/** A text on one line that shows every character it has: what cannot be seen is written as its code. */
export const oneLine = (text: string): string =>
  text
    .replace(/[\t\r\n ]+/g, ' ')
    .replace(UNSEEN, (character) => `\\u${character.charCodeAt(0).toString(16).padStart(4, '0')}`);

/** A value as it may be quoted in a message: short, on one line, nothing hidden in it. */
export function quoteValue(value: unknown): string {
  const text = value === undefined ? 'nothing' : (JSON.stringify(value) ?? String(value));
  const line = oneLine(text);
  return line.length > LONGEST_QUOTE ? `${line.slice(0, LONGEST_QUOTE)}…` : line;
}
