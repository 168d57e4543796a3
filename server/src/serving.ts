/** How this server was started. */
export interface Serving {
  version: string;
  /** Path of the database file. */
  database: string;
  demo: boolean;
  /** Folder of the built pages; null serves the API alone. */
  pages: string | null;
}

/** Under this name a module can ask for it. */
export const SERVING = Symbol('serving');
