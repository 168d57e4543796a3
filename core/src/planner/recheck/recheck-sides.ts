import { Ints, onesIn } from '../../grid/index.js';
import { lowestBit, setBit, wordsFor } from '../field/bits.js';
import type { HandCosts, Hands } from '../hands/hands.js';
import { partsJoined } from './loose-net.js';
import type { RecheckBoard, RecheckSetting } from './recheck-board.js';
import { BLACK, NONE, RED, SideSeconds, type OnLead } from './side-seconds.js';

/** What is held to be worth what: a search by other weights comes to other moves. */
export interface Weights {
  /** What a join that shows is worth, in pairs of nets parted. */
  join: number;
  /** The share of taking a clip off that counts when it is put on. */
  ahead: number;
}

/** How much was looked at so far: sides times settings. */
export interface Work {
  looks: number;
}

/** How two sides stand in one setting in which something is left: kept in counts and bits that change with one place. */
class Standing {
  /** By net, how many of its places are on each lead. */
  readonly reds: Ints;
  readonly blacks: Ints;
  /** The nets on each lead, as bits. */
  readonly redBits: Ints;
  readonly blackBits: Ints;
  /** For each net the nets that it has single pairs with, as rows of bits. */
  private readonly rows: Ints;
  private readonly nets: Ints;
  /** Nets on both leads. */
  splits = 0;
  /** Single pairs of a net on red and one on black. */
  open = 0;

  constructor(
    readonly of: RecheckSetting,
    readonly setting: number,
    size: number,
    private readonly words: number,
  ) {
    this.nets = new Ints(of.nets);
    [this.reds, this.blacks] = [new Ints(size), new Ints(size)];
    [this.redBits, this.blackBits] = [new Ints(words), new Ints(words)];
    this.rows = new Ints(size * words);
    for (let net = 0; net < size; net += 1)
      for (let other = 0; other < size; other += 1)
        if (of.single.has(net, other)) setBit(this.rows, other, net, words);
  }

  /** A place goes from one lead to another. */
  move(place: number, from: OnLead, to: OnLead): void {
    const net = this.nets.get(place);
    this.splits -= this.onBoth(net);
    this.step(net, from, -1);
    this.step(net, to, 1);
    this.splits += this.onBoth(net);
  }

  /**
   * What is gained here after a place goes from one lead to another, without moving it; `leads` shows it moved. One net on
   * both leads: what is loose in it; several: nothing; none: the single pairs across.
   */
  gainAfter(place: number, from: OnLead, to: OnLead, leads: Uint8Array, join: number): number {
    const net = this.nets.get(place);
    const [red, black] = [this.reds.get(net), this.blacks.get(net)];
    const redAfter = red - Number(from === RED) + Number(to === RED);
    const blackAfter = black - Number(from === BLACK) + Number(to === BLACK);
    const [was, is] = [Number(red > 0 && black > 0), Number(redAfter > 0 && blackAfter > 0)];
    const splits = this.splits - was + is;
    if (splits > 1) return 0;
    if (splits === 1) return this.looseGain(is === 1 ? net : this.splitNet(net), leads, join);
    const redChange = Number(redAfter > 0) - Number(red > 0);
    const blackChange = Number(blackAfter > 0) - Number(black > 0);
    return (
      this.open +
      (redChange === 0 ? 0 : redChange * this.across(net, this.blackBits)) +
      (blackChange === 0 ? 0 : blackChange * this.across(net, this.redBits))
    );
  }

  private onBoth(net: number): number {
    return Number(this.reds.get(net) > 0 && this.blacks.get(net) > 0);
  }

  private step(net: number, lead: OnLead, by: number): void {
    if (lead === NONE) return;
    const red = lead === RED;
    const counts = red ? this.reds : this.blacks;
    counts.add(net, by);
    if (counts.get(net) !== (by > 0 ? 1 : 0)) return;
    const bits = red ? this.redBits : this.blackBits;
    bits.set(net >> 5, bits.get(net >> 5) ^ (1 << (net & 31)));
    this.open += by * this.across(net, red ? this.blackBits : this.redBits);
  }

  /** Nets across that a net has single pairs with. */
  private across(net: number, bits: Ints): number {
    let all = 0;
    for (let word = 0; word < this.words; word += 1)
      all += onesIn(this.rows.get(net * this.words + word) & bits.get(word));
    return all;
  }

  /** The first net on both leads, other than one; -1 where there is none. */
  private splitNet(but: number): number {
    for (let word = 0; word < this.words; word += 1) {
      const others = but >> 5 === word ? ~(1 << (but & 31)) : -1;
      const both = this.redBits.get(word) & this.blackBits.get(word) & others;
      if (both !== 0) return word * 32 + lowestBit(both);
    }
    return -1;
  }

  /** What a net on both leads would show of what is loose in it. */
  private looseGain(net: number, leads: Uint8Array, join: number): number {
    let joins = 0;
    for (const one of this.of.loose)
      if (one.net === net && partsJoined(one, this.nets.cells, leads)) joins += 1;
    return join * joins;
  }
}

/**
 * Two sides of a re-check, from where the hands are, and what they gain in a second. Thousands are looked at for each
 * move: a change costs a few steps for each setting.
 */
export class Sides {
  private readonly leads: Uint8Array;
  private readonly standings: Standing[];
  private readonly seconds: SideSeconds;
  /** Settings in which something is gained by the last look, as flags. */
  private readonly says: Uint8Array;
  /** What the last look gains in a second. */
  private rate = 0;

  /** Sides with nothing on them. */
  constructor(
    private readonly board: RecheckBoard,
    hands: Hands,
    costs: HandCosts,
    private readonly weights: Weights,
    private readonly work: Work,
  ) {
    const { size, settings } = board;
    const words = wordsFor(size);
    this.leads = new Uint8Array(size);
    this.standings = settings.flatMap((one, setting) =>
      one.loose.length > 0 || one.single.any() ? [new Standing(one, setting, size, words)] : [],
    );
    this.says = new Uint8Array(this.standings.length);
    this.seconds = new SideSeconds(board, hands, costs, weights.ahead);
  }

  /** Puts a place on a lead, or on none. */
  put(place: number, to: OnLead): void {
    const from = this.leadOf(place);
    if (from === to) return;
    for (const standing of this.standings) standing.move(place, from, to);
    this.leads[place] = to;
    this.seconds.put(place, from, to);
  }

  leadOf(place: number): OnLead {
    return this.leads[place] as OnLead;
  }

  /** How many places are on a lead. */
  many(lead: typeof RED | typeof BLACK): number {
    return this.seconds.many(lead);
  }

  /** The gain after one place more is put somewhere, without doing so; 0 where it says nothing. */
  gainWith(place: number, to: OnLead): number {
    const { seconds, leads, standings, says } = this;
    const from = this.leadOf(place);
    this.rate = 0;
    this.work.looks += standings.length;
    seconds.put(place, from, to);
    let gain = 0;
    if (seconds.canBeMade()) {
      leads[place] = to;
      seconds.begin();
      for (let at = 0; at < standings.length; at += 1) {
        const standing = standings[at] as Standing;
        says[at] = 0;
        if (!this.mayAsk(standing.of)) continue;
        const here = standing.gainAfter(place, from, to, leads, this.weights.join);
        if (here === 0) continue;
        gain += here;
        says[at] = 1;
        seconds.read(standing.setting);
      }
      leads[place] = from;
      if (gain > 0) this.rate = gain / seconds.sum();
    }
    seconds.put(place, to, from);
    return gain;
  }

  /** The gain in a second after one place more is put somewhere, without doing so. */
  rateWith(place: number, to: OnLead): number {
    this.gainWith(place, to);
    return this.rate;
  }

  /** The settings in which the sides say something, from the first. */
  settings(): number[] {
    const place = this.board.places[0] as number;
    return this.gainWith(place, this.leadOf(place)) > 0
      ? this.standings.flatMap(({ setting }, at) => (this.says[at] === 1 ? [setting] : []))
      : [];
  }

  /** A bundle says nothing where pairs alone do; a pair that was passed over is not asked. */
  private mayAsk({ pairsOnly, leaveOut }: RecheckSetting): boolean {
    const { seconds } = this;
    return seconds.isPair() ? !leaveOut.has(seconds.onlyOn(RED), seconds.onlyOn(BLACK)) : !pairsOnly;
  }
}
