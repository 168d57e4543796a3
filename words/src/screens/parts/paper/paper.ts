/** What stands on every page of a paper. */
export const PAPER_TEXT = {
  foot: (title: string, page: number, pages: number) => `${title} · ${page} of ${pages}`,
};
