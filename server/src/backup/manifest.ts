import { MANIFEST_TEXT } from '@which-way/words/server/backup/manifest';

/** What a backup says of itself, in manifest.json, written last. */
export interface Manifest {
  format: 'which-way-backup';
  version: 1;
  /** The program that wrote it. */
  program: string;
  /** ISO 8601. */
  made: string;
  jobs: number;
  events: number;
  /** SHA-256 of each file in it, by its name in the zip. */
  files: Record<string, string>;
}

export const DATABASE_NAME = 'which-way.sqlite';
export const MANIFEST_NAME = 'manifest.json';

/** Reads what is claimed to be a manifest; a sentence that says what is wrong where it is none. */
export function readManifest(parsed: unknown): Manifest | string {
  if (typeof parsed !== 'object' || parsed === null || !('format' in parsed))
    return MANIFEST_TEXT.itHasNoManifest;
  if (parsed.format !== 'which-way-backup') return MANIFEST_TEXT.itIsNoBackupOf;
  const version = 'version' in parsed ? parsed.version : null;
  if (version !== 1) return MANIFEST_TEXT.itsVersionIsAndThis(String(version));
  const { files } = parsed as Partial<Manifest>;
  if (typeof files !== 'object' || files === null || !Object.hasOwn(files, DATABASE_NAME))
    return MANIFEST_TEXT.itsListNamesNoDatabase;
  if (Object.values(files).some((hash) => typeof hash !== 'string')) return MANIFEST_TEXT.itsListHasNoSums;
  return parsed as Manifest;
}
