/** Seconds as one says them beforehand: in fives up to a minute and a half, then in minutes. */
export function time(seconds: number): string {
  return seconds < 90 ? `${Math.ceil(seconds / 5) * 5} s` : `${Math.ceil(seconds / 60)} min`;
}
