/** One line of a menu. */
export const MENU_ITEM =
  'flex min-h-11 items-center rounded-md px-3 outline-none data-[highlighted]:bg-paper lg:min-h-9';
