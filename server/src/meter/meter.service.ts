import type {
  MeterAnswer,
  MeterClaim,
  MeterKind,
  MeterNow,
  MeterSetting,
  StandInLeads,
} from '@which-way/contract';
import { NO_READING, PLAIN_DRIVER, type SpokenDriver } from '@which-way/core/sense/meter';
import {
  Inject,
  Injectable,
  type BeforeApplicationShutdown,
  type OnApplicationBootstrap,
} from '@nestjs/common';
import { readNote, writeNote } from '../database/note.js';
import { Writer } from '../database/writer.js';
import { Live } from '../live/live.js';
import { SERVING, type Serving } from '../serving.js';
import { MeterLink, type LinkState } from './meter-link.js';
import { scpiProtocol, spokenProtocol } from './protocols.js';
import { BenchLeads } from './stand-in/bench-leads.js';
import { ScpiStandIn } from './stand-in/scpi-stand-in.js';
import { talkingStandIn } from './stand-in/talking-stand-in.js';
import { overSerial, overStream, overTcp, serialPorts } from './transport.js';

const KEY = 'meter';

const NONE: MeterSetting = {
  ...{ kind: 'none', host: '', port: 5025, device: '', baud: 9600, mode: 'two-wire' },
};

/** The one meter of the bench: how it is reached, what it says, and which device takes that. It connects to nothing that was not set. */
@Injectable()
export class MeterService implements OnApplicationBootstrap, BeforeApplicationShutdown {
  readonly #leads = new BenchLeads();
  #standIn: { scpi: ScpiStandIn; port: number } | null = null;
  #setting = NONE;
  #link: MeterLink | null = null;
  #holder: MeterNow['holder'] = null;

  constructor(
    private readonly writer: Writer,
    private readonly live: Live,
    @Inject(SERVING) private readonly serving: Serving,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    const kept = await this.writer.write((manager) => readNote(manager, KEY));
    // It was checked when it was stored. The demo's bench has a simulated one.
    const setting = kept === null ? null : (JSON.parse(kept) as MeterSetting);
    await this.#begin(setting ?? (this.serving.demo ? { ...NONE, kind: 'stand-in-scpi' } : NONE));
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.#link?.end();
    await this.#standIn?.scpi.close();
  }

  async read(mayBeSet: boolean): Promise<MeterAnswer> {
    const lines = [...(this.#link?.lines ?? [])];
    const ports = mayBeSet ? await serialPorts() : [];
    // Where the meter is stays on this machine.
    const setting = mayBeSet ? this.#setting : { ...this.#setting, host: '', device: '' };
    return { setting, now: this.#now(), lines: mayBeSet ? lines : [], ports, mayBeSet };
  }

  async set(setting: MeterSetting): Promise<void> {
    await this.writer.write((manager) => writeNote(manager, KEY, JSON.stringify(setting)));
    this.#holder = null;
    await this.#begin(setting);
  }

  /** The last device that claims it has it; one that gives it back gives back its own claim alone. */
  claim({ id, name, takes }: MeterClaim): MeterNow {
    if (takes) this.#holder = { id, name };
    else if (this.#holder?.id === id) this.#holder = null;
    this.#tell();
    return this.#now();
  }

  /** What lies between the leads of the simulated one, and whether it is switched on; false: there is none. */
  lead({ ohms, on }: StandInLeads): boolean {
    if (!this.#setting.kind.startsWith('stand-in')) return false;
    if (ohms !== undefined) this.#leads.set(ohms);
    if (on !== undefined) this.#power(on);
    return true;
  }

  #power(on: boolean): void {
    this.#leads.isOn = on;
    this.#standIn?.scpi.power(on);
  }

  async #begin(setting: MeterSetting): Promise<void> {
    this.#link?.end();
    this.#setting = setting;
    // A simulated one begins as if it were taken from its case: on, with its leads apart.
    this.#leads.set(null);
    this.#power(true);
    const link = await this.#linked(setting);
    this.#link = link;
    this.#tell();
  }

  async #linked({ kind, host, port, device, baud, mode, driver }: MeterSetting): Promise<MeterLink | null> {
    const spoken = spokenProtocol((driver as SpokenDriver | undefined) ?? PLAIN_DRIVER);
    const over = (open: ConstructorParameters<typeof MeterLink>[0], protocol = scpiProtocol(mode)) =>
      new MeterLink(open, protocol, (state) => this.#tell(state));
    const ways: Record<MeterKind, () => MeterLink | null | Promise<MeterLink>> = {
      none: () => null,
      'scpi-tcp': () => over(() => overTcp(host, port)),
      'scpi-serial': () => over(() => overSerial(device, baud)),
      'lines-serial': () => over(() => overSerial(device, baud), spoken),
      'stand-in-lines': () =>
        over(() => Promise.resolve(overStream(talkingStandIn(this.#leads))), spokenProtocol(PLAIN_DRIVER)),
      'stand-in-scpi': async () => {
        const { port: own } = (this.#standIn ??= await this.#standInListening());
        return over(() => overTcp('127.0.0.1', own));
      },
    };
    return ways[kind]();
  }

  async #standInListening() {
    const scpi = new ScpiStandIn(this.#leads);
    return { scpi, port: await scpi.listen() };
  }

  #now(state: LinkState | undefined = this.#link?.state): MeterNow {
    const { kind, mode } = this.#setting;
    return {
      standing: state?.standing ?? 'off',
      name: state?.name ?? '',
      ...{ kind, mode, holder: this.#holder, at: Date.now() },
      reading: state?.reading ?? NO_READING,
      trouble: state?.trouble ?? null,
    };
  }

  #tell(state?: LinkState): void {
    this.live.meter(this.#now(state));
  }
}
