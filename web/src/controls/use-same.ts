import { useState } from 'react';

/** A value by a key that says all that matters of it: the same one as before while the key is, so that what hangs on it is not worked out anew. */
export function useSame<Value>(value: Value, key: string): Value {
  const [kept, setKept] = useState({ key, value });
  if (kept.key === key) return kept.value;
  setKept({ key, value });
  return value;
}
