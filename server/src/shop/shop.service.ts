import { Injectable } from '@nestjs/common';
import type { Shop, ShopChange } from '@which-way/contract';
import { shopOfToday, shopProblems } from '@which-way/core/formats';
import { standardLists } from '@which-way/core/safety';
import { readNote, writeNote } from '../database/note.js';
import { Backroom } from '../backroom/backroom.js';
import { Writer } from '../database/writer.js';
import { refuse, refused } from '../errors/refusal.js';

const KEY = 'shop';

/** What the shop has set for itself; the standard until it sets something. */
@Injectable()
export class ShopService {
  constructor(
    private readonly backroom: Backroom,
    private readonly writer: Writer,
  ) {}

  async read(): Promise<Shop> {
    const kept = await this.backroom.read((desk) => desk.note(KEY));
    // It was checked when it was stored.
    return kept === null ? unchanged() : (shopOfToday(JSON.parse(kept)) as Shop);
  }

  change({ version, name, safetyLists, codeNotes, meters }: ShopChange): Promise<Shop> {
    const problems = shopProblems({ name, safetyLists, codeNotes, meters });
    if (problems.length > 0) throw refuse(422, problems);
    return this.writer.write(async (manager) => {
      const kept = await readNote(manager, KEY);
      const now = kept === null ? 0 : (JSON.parse(kept) as Shop).version;
      if (now !== version) {
        throw refused(409, 'stale', {}, 'version');
      }
      const shop: Shop = { version: now + 1, name, safetyLists, codeNotes, meters };
      await writeNote(manager, KEY, JSON.stringify(shop));
      return shop;
    });
  }
}

const unchanged = (): Shop => ({
  version: 0,
  name: '',
  safetyLists: standardLists(),
  codeNotes: { 'plug-in': '', fixed: '', battery: '', 'extra-low': '' },
  meters: [],
});
