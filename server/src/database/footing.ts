import { statSync } from 'node:fs';

/** What a path leads to: the same path with another device or inode is another file. */
interface Place {
  path: string;
  device: number;
  inode: number;
}

/**
 * What a server stands on: its data folder and the database in it, as they were when it took them. A folder that was moved aside while
 * the server runs goes on taking writes through the open files, where nobody will look for them: so both are compared before
 * anything is called stored.
 */
export class Footing {
  #places: Place[] = [];

  constructor(private readonly paths: readonly string[]) {}

  /** Takes what is there now as what it stands on: at the start, and after another database was put in place. */
  take(): void {
    this.#places = this.paths.map(placeOf);
  }

  /** The first path that leads to something else now, or to nothing; null: all is as it was. */
  lost(): string | null {
    return this.#places.find((place) => !isThere(place))?.path ?? null;
  }
}

function placeOf(path: string): Place {
  const { dev, ino } = statSync(path);
  return { path, device: dev, inode: ino };
}

function isThere({ path, device, inode }: Place): boolean {
  const found = statSync(path, { throwIfNoEntry: false });
  return found !== undefined && found.dev === device && found.ino === inode;
}
