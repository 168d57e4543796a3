/** What a course of steps comes to when it is run to its end in one go. */
export function lastOf<T>(course: Generator<T, T>): T {
  for (;;) {
    const { done, value } = course.next();
    if (done) return value;
  }
}
