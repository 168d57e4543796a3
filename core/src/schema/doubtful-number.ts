/**
 * Whether a number as it was typed may be read in two ways: 10,000 is ten thousand to one and ten to another, and 1,500 W is not to be
 * taken for one and a half. Meters show no such number, so what is typed from one is not asked.
 */
export const isDoubtfulNumber = (typed: string): boolean => /^-?[1-9]\d{0,2}(,\d{3})+(\.\d+)?$/.test(typed);
