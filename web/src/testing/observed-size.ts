/** jsdom lays nothing out and has no ResizeObserver; some primitives ask for one. */
class NeverResized implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}

globalThis.ResizeObserver ??= NeverResized;
