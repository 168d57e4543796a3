import { Inject, Injectable } from '@nestjs/common';
import type { Work } from '@which-way/contract';
import { proxy } from 'comlink';
import { statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { Readable } from 'node:stream';
import { DataSource } from 'typeorm';
import { Backroom } from '../backroom/backroom.js';
import { Acknowledged } from '../database/acknowledged.js';
import { Footing } from '../database/footing.js';
import { takeStock } from '../database/take-stock.js';
import { Writer } from '../database/writer.js';
import { receiveFile } from '../errors/receive-file.js';
import { refused } from '../errors/refusal.js';
import { writeNote } from '../database/note.js';
import { Sessions } from '../lan/sessions.js';
import { Live } from '../live/live.js';
import { SERVING, type Serving } from '../serving.js';
import { stamp } from '../transfer/transfer.service.js';
import { RESULT } from '../works/works.module.js';
import { Works, type Worker } from '../works/works.js';
import { noteBackup } from './backed-up.js';
import { putBackFromAside, putInPlace } from './put-in-place.js';

const INCOMING = 'incoming';

/** Backups of the whole bench, made while the server runs, and putting one back onto an empty bench. */
@Injectable()
export class BackupService {
  constructor(
    private readonly works: Works,
    private readonly backroom: Backroom,
    private readonly writer: Writer,
    private readonly source: DataSource,
    private readonly live: Live,
    private readonly acknowledged: Acknowledged,
    private readonly footing: Footing,
    private readonly sessions: Sessions,
    @Inject(SERVING) private readonly serving: Serving,
  ) {}

  backUp(): Work {
    return this.works.begin('backup', async (worker) => {
      const to = join(worker.folder, RESULT);
      const { database, photos, version: program } = this.serving;
      const manifest = await this.backroom.backup(
        (desk) => desk.backUp({ database, photos, program }, to, this.#heard(worker), worker.flag),
        worker.flag,
      );
      noteBackup(dirname(database), manifest.made);
      this.live.bench();
      return { file: { name: `which-way-backup-${stamp()}.zip`, bytes: statSync(to).size } };
    });
  }

  /** Puts a backup back: on an empty bench only, and only after all of it was checked. */
  async restore(body: Readable): Promise<Work> {
    await this.#isEmpty();
    const place = this.works.newFolder();
    try {
      await receiveFile(body, join(place.folder, INCOMING));
    } catch (error) {
      this.works.discard(place.folder);
      throw error;
    }
    return this.works.begin('restore', (worker) => this.#putBack(worker), place);
  }

  async #putBack(worker: Worker): Promise<Partial<Work>> {
    const checked = await this.backroom.long(
      (desk) =>
        desk.checkBackup(
          join(worker.folder, INCOMING),
          join(worker.folder, 'checked'),
          this.#heard(worker),
          worker.flag,
        ),
      worker.flag,
    );
    worker.tell({ step: 'putting-in-place' });
    const code = await this.backroom.read((desk) => desk.note('access'));
    await this.writer.alone(async () => {
      await this.#isEmpty();
      await this.backroom.letGo();
      await this.source.destroy();
      const folder = dirname(this.serving.database);
      let aside: string | null = null;
      try {
        aside = putInPlace(folder, checked);
        await this.source.initialize();
      } catch (error) {
        if (this.source.isInitialized) await this.source.destroy();
        putBackFromAside(folder, aside);
        await this.source.initialize();
        throw error;
      } finally {
        this.footing.take();
      }
    });
    await this.#goOnOpen(code);
    this.live.otherStore(await takeStock(this.writer, this.acknowledged, { anew: true }));
    return {};
  }

  /** A backup brings no code and no sessions: those of this server go on. */
  async #goOnOpen(code: string | null): Promise<void> {
    await this.writer.write(async (manager) => {
      if (code !== null) await writeNote(manager, 'access', code);
      await this.sessions.carryOver(manager);
    });
  }

  async #isEmpty(): Promise<void> {
    if ((await this.backroom.read((desk) => desk.countJobs())) === 0) return;
    throw refused(409, 'bench-not-empty');
  }

  #heard(worker: Worker) {
    return proxy((step: Work['step'], done: number, total: number) => worker.tell({ step, done, total }));
  }
}
