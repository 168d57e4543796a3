/** What map page says. */
export const MAP_PAGE_TEXT = {
  map: 'Map',
};
