/** How many of each part the user owns, by its id. */
export type Drawer = Readonly<Record<string, number>>;
