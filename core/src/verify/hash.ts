/** FNV-1a, 64 bits (offset basis and prime as published by Fowler, Noll and Vo), as 16 hexadecimal figures. */
export function fnv1a(text: string): string {
  let hash = 0xcbf29ce484222325n;
  for (let at = 0; at < text.length; at += 1) {
    hash ^= BigInt(text.charCodeAt(at) & 0xff);
    hash = (hash * 0x100000001b3n) & 0xffffffffffffffffn;
  }
  return hash.toString(16).padStart(16, '0');
}
