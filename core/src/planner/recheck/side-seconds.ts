import { Ints, Reals } from '../../grid/index.js';
import { leadIsBrought, leadMoves, type HandCosts, type Hands } from '../hands/hands.js';
import type { RecheckBoard } from './recheck-board.js';

/** Which lead a place is tied to. */
export type OnLead = 0 | 1 | 2;
export const [NONE, RED, BLACK] = [0, 1, 2] as const;

/** What two sides take, as `costOf` counts it, from counts that one change alters; a share of taking off new clips added. */
export class SideSeconds {
  private readonly clipped: Uint8Array;
  private readonly clippedNow: number;
  private readonly readIn: Reals;
  private readonly here: number;
  /** By lead: how many places, how many of them are clipped to it already, and the sum of the places. */
  private readonly count = new Ints(3);
  private readonly stay = new Ints(3);
  private readonly sumOf = new Ints(3);
  private first = -1;
  private last = -1;
  private reads = 0;

  /** @param ahead the share of taking a clip off that counts when it is put on. */
  constructor(
    { size, settings }: RecheckBoard,
    private readonly hands: Hands,
    private readonly costs: HandCosts,
    private readonly ahead: number,
  ) {
    const { tied } = hands;
    this.clipped = new Uint8Array(size);
    for (const place of tied.red) this.clipped[place] = RED;
    for (const place of tied.black) this.clipped[place] = BLACK;
    this.clippedNow = tied.red.length + tied.black.length;
    this.readIn = new Reals(settings.map(({ held }) => costs.read + (held ? costs.holdMomentary : 0)));
    this.here = hands.setting ?? 0;
  }

  put(place: number, from: OnLead, to: OnLead): void {
    this.step(place, from, -1);
    this.step(place, to, 1);
  }

  /** How many places are on a lead. */
  many(lead: typeof RED | typeof BLACK): number {
    return this.count.get(lead);
  }

  /** Whether there is one place on each lead. */
  isPair(): boolean {
    return this.many(RED) === 1 && this.many(BLACK) === 1;
  }

  /** The place on a lead where there is only one. */
  onlyOn(lead: typeof RED | typeof BLACK): number {
    return this.sumOf.get(lead);
  }

  /** Whether there is something on each lead, and there are clips enough for it. */
  canBeMade(): boolean {
    const [red, black] = [this.many(RED), this.many(BLACK)];
    if (red === 0 || black === 0) return false;
    return (red === 1 && black === 1) || red + black <= this.costs.clipsOwned;
  }

  /** Begins to count settings. */
  begin(): void {
    this.first = -1;
    this.last = -1;
    this.reads = 0;
  }

  /** Counts a setting, from the first to the last. */
  read(setting: number): void {
    if (this.first < 0) this.first = setting;
    this.last = setting;
    this.reads += this.costs.turn + this.readIn.get(setting);
  }

  /** Seconds of the sides through the settings that were counted. */
  sum(): number {
    const { costs, ahead, here } = this;
    let [on, off] = [0, this.clippedNow];
    for (const lead of [RED, BLACK])
      if (this.many(lead) > 1) {
        on += this.many(lead) - this.stay.get(lead);
        off -= this.stay.get(lead);
      }
    const start = Math.abs(here - this.last) < Math.abs(here - this.first) ? this.last : this.first;
    const clips = ((1 + ahead) * on + (1 - ahead) * off) * costs.clip;
    const seconds = clips + this.leadSeconds() + this.reads;
    return start === this.hands.setting ? seconds - costs.turn : seconds;
  }

  private step(place: number, lead: OnLead, by: number): void {
    this.count.add(lead, by);
    this.stay.add(lead, this.clipped[place] === lead ? by : 0);
    this.sumOf.add(lead, by * place);
  }

  /** What it takes to bring the leads that are not clipped. */
  private leadSeconds(): number {
    const { hands, costs } = this;
    const [red, black] = [this.onlyOn(RED), this.onlyOn(BLACK)];
    const [reds, blacks] = [this.many(RED), this.many(BLACK)];
    if (reds <= 1 && blacks <= 1)
      return Math.min(
        leadMoves(hands, red, black, costs).seconds,
        leadMoves(hands, black, red, costs).seconds,
      );
    if (reds > 1 && blacks > 1) return 0;
    const brought = reds > 1 ? leadIsBrought('black', black, hands) : leadIsBrought('red', red, hands);
    return brought ? costs.moveLead : 0;
  }
}
