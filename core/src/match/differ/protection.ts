/**
 * Whether an IP code protects at least as well as another in both figures (IEC 60529); a figure that is left out protects
 * nothing. null: one of them is no such code.
 */
export function protects(code: string, than: string): boolean | null {
  const [one, other] = [figuresOf(code), figuresOf(than)];
  return one && other ? other.every((figure, at) => (one[at] as number) >= figure) : null;
}

function figuresOf(code: string): number[] | null {
  const found = /IP\s*([0-6X])([0-9X])/i.exec(code);
  return found && [found[1], found[2]].map((figure) => (/\d/.test(figure ?? '') ? Number(figure) : 0));
}
