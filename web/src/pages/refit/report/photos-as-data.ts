/** Reads a picture's bytes as an address that needs nothing else; null where they cannot be read. */
async function asData(address: string): Promise<string | null> {
  try {
    const answer = await fetch(address);
    if (!answer.ok) return null;
    const blob = await answer.blob();
    return await new Promise((resolve) => {
      const reader = new FileReader();
      reader.onload = () => resolve(String(reader.result));
      reader.onerror = () => resolve(null);
      reader.readAsDataURL(blob);
    });
  } catch {
    return null;
  }
}

/**
 * Photos by id as data addresses, so that a page or paper needs nothing but itself. One that could not be read is not in it, and is
 * tried again the next time.
 * @param kept those that were read before; what is read is added.
 */
export async function photosAsData(
  ids: readonly string[],
  at: string,
  kept: Map<string, string>,
): Promise<ReadonlyMap<string, string>> {
  await Promise.all(
    ids
      .filter((id) => !kept.has(id))
      .map(async (id) => {
        const data = await asData(`${at}${id}`);
        if (data !== null) kept.set(id, data);
      }),
  );
  return new Map(
    ids.flatMap((id): [string, string][] => {
      const data = kept.get(id);
      return data === undefined ? [] : [[id, data]];
    }),
  );
}
