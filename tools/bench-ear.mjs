// What the ear hears of beeps over made sound, how late, what it invents, and what of it is booked on a wrong lug.
import { many } from './bench-size.mjs';
import { capture, idleCapture, swept, sweepOf } from '@which-way/core/probing';
import { earFrame, FRAME_MS, hear, quietEar } from '@which-way/core/sense/ear';
import {
  addBeep,
  addNoise,
  followClicks,
  madeNoise,
  NOISES,
  RATE,
  silence,
  STEADY_HAND,
} from '@which-way/core/simulated';
import { seededRandom } from '@which-way/core/switch';

const PITCH = 2400;
const LEVEL = 0.1 / Math.SQRT2;
const TAUGHT = { pitchHz: PITCH, level: LEVEL, delayMs: 150, leastMs: 60, holdMs: 60 };

/** What the ear tells of a sound, with when it told it. */
function heard(sound) {
  const size = (RATE * FRAME_MS) / 1000;
  const all = [];
  let ear = quietEar;
  for (let from = 0; from + size <= sound.length; from += size) {
    const at = ((from + size) * 1000) / RATE;
    const frame = earFrame(sound.subarray(from, from + size), { rate: RATE, pitchHz: PITCH, at });
    const step = hear(ear, frame, TAUGHT);
    ear = step.ear;
    all.push(...step.signals.map((signal) => ({ ...signal, told: at })));
  }
  return all.filter(({ kind }) => kind === 'began');
}

/** Beeps over a noise: how many of them are heard, how many more are, how late each is told. */
function beeps(count, sort, decibels, seed) {
  const random = seededRandom(seed);
  const times = Array.from({ length: count }, (_, at) => 500 + at * 900 + Math.floor(random() * 300));
  const sound = silence(2000 + count * 900);
  for (const at of times) addBeep(sound, { at, ms: 120 + 200 * random(), hertz: PITCH, loud: 0.1 });
  addNoise(sound, madeNoise(sort, seed + 1, PITCH), LEVEL / 10 ** (decibels / 20));
  const told = heard(sound);
  const of = (time) => told.find(({ at }) => Math.abs(at - time) <= 60);
  const found = times.flatMap((time) => (of(time) ? [of(time).told - time] : []));
  return { found: found.length, more: told.length - found.length, late: found };
}

/**
 * A person goes from lug to lug: reaches, touches, lifts; each beep lags by up to three tenths more or less, may be missed, or may
 * chatter while the leads are still on. How many answers went to another lug than the one that was touched.
 */
function wrongLugs(touches, seed) {
  const random = seededRandom(seed);
  const between = (least, most) => least + (most - least) * random();
  let [state, at, lug, wrong, taken] = [idleCapture, 0, 0, 0, 0];
  const tell = (signal) => {
    const step = capture(state, signal, { ...TAUGHT, dwellMs: null });
    state = step.state;
    return step.act;
  };
  tell({ kind: 'asked', key: 'prompt 0', at });
  for (let touch = 0; touch < touches; touch += 1) {
    at += between(500, 1500);
    const touched = lug;
    const onset = at + TAUGHT.delayMs * between(0.7, 1.3);
    const sounds = random() < 0.5;
    if (sounds && random() > 0.03) {
      const act = tell({ kind: 'began', at: onset });
      if (act) {
        taken += 1;
        if (lug !== touched) wrong += 1;
        lug += 1;
        tell({ kind: 'asked', key: `prompt ${lug}`, at: onset + 70 });
      }
      let ends = onset + between(120, 400);
      tell({ kind: 'ended', at: ends });
      // The contact chatters before the leads are lifted.
      while (random() < 0.2) {
        const again = ends + between(30, 300);
        if (tell({ kind: 'began', at: again })) wrong += 1;
        ends = again + between(40, 200);
        tell({ kind: 'ended', at: ends });
      }
      at = ends;
    } else {
      // Silent: the pedal, and on.
      at += between(200, 600);
      lug += 1;
      tell({ kind: 'asked', key: `prompt ${lug}`, at });
    }
  }
  return { wrong, taken };
}

/**
 * Sweeps that clicks lead: each touch up to three tenths early or late, one in 33 missed, one in 20 doubled; one hand in ten is a lug
 * behind. How many beeps were booked on a lug that does not join, of how many sweeps and touches, and what came of the rest.
 */
function ledSweeps(sweeps, seed) {
  const random = seededRandom(seed);
  const sum = { wrong: 0, touches: 0, taken: 0, behindTaken: 0, behind: 0 };
  for (let at = 0; at < sweeps; at += 1) {
    const lugs = 4 + Math.floor(9 * random());
    const joins = new Set(Array.from({ length: lugs }, (_, place) => place).filter(() => random() < 0.3));
    const isBehind = random() < 0.1;
    const from = Math.floor(lugs * random());
    const hand = {
      ...STEADY_HAND,
      joins,
      at: (clicked) => (isBehind && clicked >= from ? Math.max(0, clicked - 1) : clicked),
      lag: { ...STEADY_HAND.lag, delayMs: 50 + 650 * random() },
      late: () => 0.6 * random() - 0.3,
      misses: () => random() < 0.03,
      doubles: () => random() < 0.05,
      touchMs: 120 + 80 * random(),
    };
    let state = sweepOf(lugs);
    const pace = 600 + 900 * random();
    const tell = (signal) => {
      const step = swept(state, signal, { ...hand.lag, dwellMs: null }, pace);
      state = step.state;
      return step.cue;
    };
    sum.touches += followClicks(lugs, hand, tell).filter(({ cue }) => cue === 'click').length;
    const last = tell({ kind: 'pedal', at: 1e9, undo: false });
    const places = last?.cue === 'take' ? last.places : [];
    sum.wrong += places.filter((place) => !joins.has(place)).length;
    if (last) sum.taken += 1;
    if (isBehind) sum.behind += 1;
    if (isBehind && last) sum.behindTaken += 1;
  }
  return sum;
}

export function benchEar({ atMost, atLeast, round }) {
  const each = many(40, 200);
  const over = (decibels, seed) => NOISES.map((sort, at) => beeps(each, sort, decibels, seed + 10 * at));
  const total = NOISES.length * each;
  for (const [decibels, least] of [
    [12, 1],
    [6, 0.99],
  ]) {
    const all = over(decibels, 4000 + decibels);
    const found = all.reduce((sum, one) => sum + one.found, 0);
    atLeast('ear', `beeps heard at ${decibels} dB over five sorts of sound, of ${total}`, round(found / total, 3), 'ratio', least); // prettier-ignore
    if (decibels !== 12) continue;
    const late = all.flatMap((one) => one.late).toSorted((a, b) => a - b);
    atMost('ear', 'from the onset of a beep to its telling, 95th of a hundred', round(late[Math.floor(0.95 * late.length)], 0), 'ms', 120); // prettier-ignore
    atMost('ear', 'beeps invented beside those', all.reduce((sum, one) => sum + one.more, 0), '', 0); // prettier-ignore
  }
  const seconds = many(60, 720);
  const invented = NOISES.reduce((sum, sort, at) => {
    const sound = silence(seconds * 1000);
    addNoise(sound, madeNoise(sort, 5000 + at, PITCH), LEVEL);
    return sum + heard(sound).length;
  }, 0);
  atMost('ear', `beeps invented in ${(NOISES.length * seconds) / 60} minutes of sound as loud as a beep`, invented, '', 0); // prettier-ignore
  const { wrong, taken } = wrongLugs(10_000, 77);
  atMost('ear', `booked on a wrong lug, of ${taken} beeps taken in 10,000 touches`, wrong, '', 0);
  const led = ledSweeps(many(300, 1500), 78);
  atMost('ear', `booked on a wrong lug, of ${led.taken} sweeps taken that clicks led, ${led.touches} clicks`, led.wrong, '', 0); // prettier-ignore
  atMost('ear', `sweeps taken where the hand was a lug behind, of ${led.behind}`, led.behindTaken, '', 0);
}
