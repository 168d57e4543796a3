import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { ngspiceDeck, readNgspice, resistorNetworks } from '../testing/resistor-networks.js';
import { resistanceBetween } from './resistance.js';

const file = (name: string) => readFileSync(new URL(`./ngspice/${name}`, import.meta.url), 'utf8');
const installed = spawnSync('ngspice', ['--version']).status === 0;
const NETWORKS = resistorNetworks(200, 39);
const ours = () => NETWORKS.map(({ nodes, network }) => resistanceBetween(nodes, network, 0, 1));

/** Largest relative difference between two lists of ohms. */
const furthest = (one: readonly number[], other: readonly number[]) =>
  Math.max(...one.map((ohms, at) => Math.abs(ohms - (other[at] as number)) / ohms));

describe('200 random networks against the circuit simulator ngspice (version 39, deck and output beside this test)', () => {
  it('agree with what it said', () => {
    expect(file('networks.cir')).toBe(ngspiceDeck(NETWORKS));
    const said = readNgspice(file('networks.out'));
    expect(said).toHaveLength(200);
    expect(furthest(ours(), said)).toBeLessThan(1e-6);
  });

  it.skipIf(!installed)('agree with what it says now, where it is installed', () => {
    const deck = join(mkdtempSync(join(tmpdir(), 'which-way-ngspice-')), 'networks.cir');
    writeFileSync(deck, ngspiceDeck(NETWORKS));
    const said = readNgspice(
      execFileSync('ngspice', ['-b', deck], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }),
    );
    expect(said).toHaveLength(200);
    expect(furthest(ours(), said)).toBeLessThan(1e-6);
  });
});
