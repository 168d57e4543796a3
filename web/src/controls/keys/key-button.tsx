import type { ReactNode } from 'react';

interface KeyButtonProps {
  children: ReactNode;
  /** The key that does the same. */
  keys: string;
  onPress: () => void;
  strong?: boolean;
  disabled?: boolean;
}

/** A large answer: what it says, and the key that says it too. */
export function KeyButton({ children, keys, onPress, strong = false, disabled = false }: KeyButtonProps) {
  return (
    <button
      type="button"
      disabled={disabled}
      onClick={onPress}
      className={`flex min-h-16 flex-col items-center justify-center rounded-part border-2 px-1.5 py-2 leading-tight sm:px-3 disabled:opacity-40 ${
        strong
          ? 'border-enamel bg-enamel text-on-enamel dark:border-brass'
          : 'border-ink bg-sheet text-ink hover:bg-paper'
      }`}
    >
      <span className="font-bold sm:text-large">{children}</span>
      <kbd className={`font-mono text-small max-sm:hidden ${strong ? 'text-on-enamel-quiet' : 'text-quiet'}`}>
        {keys}
      </kbd>
    </button>
  );
}
