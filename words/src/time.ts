/** Seconds as one says them beforehand: in fives up to a minute and a half, in minutes up to two hours, then in half hours. */
export function time(seconds: number): string {
  if (seconds < 90) return `${Math.ceil(seconds / 5) * 5} s`;
  if (seconds < 7200) return `${Math.ceil(seconds / 60)} min`;
  const halves = Math.ceil(seconds / 1800);
  return `${Math.floor(halves / 2)} h${halves % 2 === 1 ? ' 30 min' : ''}`;
}
