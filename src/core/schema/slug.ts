/** The most letters of an id that are made from a name; a number and a prefix have room beside them. */
const MOST_LETTERS = 48;

/** "my-pack" for "My pack!"; `otherwise` where nothing of a name is left. */
export const slug = (name: string, otherwise: string): string =>
  name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, MOST_LETTERS) || otherwise;
