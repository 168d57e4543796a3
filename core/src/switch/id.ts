/** Ids are UUIDs, never indexes or markings, so that a rename or a new lug never moves a reading. */
type Branded<Name extends string> = string & { readonly __id: Name };

export type JobId = Branded<'job'>;
export type EventId = Branded<'event'>;
export type DeviceId = Branded<'device'>;
export type PromptId = Branded<'prompt'>;
export type ReadingId = Branded<'reading'>;
export type TerminalId = Branded<'terminal'>;
export type ActuatorId = Branded<'actuator'>;
export type PositionId = Branded<'position'>;
export type SettingId = Branded<'setting'>;
export type PartId = Branded<'part'>;
export type MarkingId = Branded<'marking'>;
export type EntryId = Branded<'entry'>;
export type PhotoId = Branded<'photo'>;
export type SisterId = Branded<'sister'>;
export type WireId = Branded<'wire'>;
export type LineId = Branded<'line'>;
export type RecordId = Branded<'record'>;
export type LinkId = Branded<'link'>;
export type NodeId = Branded<'node'>;
export type TestId = Branded<'test'>;
export type StepId = Branded<'step'>;
export type SupplyId = Branded<'supply'>;
export type SourceId = Branded<'source'>;
export type OfferId = Branded<'offer'>;
export type PinnedDeviceId = Branded<'pinned-device'>;
export type LoadId = Branded<'load'>;

/** Gives fresh ids. Passed in, because the core has no source of randomness of its own. */
export type NewId = <Id extends string>() => Id;

/**
 * A version 4 UUID (RFC 9562, section 5.4) from 16 random bytes.
 * @throws RangeError when fewer than 16 bytes are given.
 */
export function uuidFromBytes<Id extends string = string>(bytes: Uint8Array): Id {
  if (bytes.length < 16) throw new RangeError('a UUID needs 16 bytes');
  const hex = Array.from(bytes.subarray(0, 16), (byte, index) => {
    const value = index === 6 ? (byte & 0x0f) | 0x40 : index === 8 ? (byte & 0x3f) | 0x80 : byte;
    return value.toString(16).padStart(2, '0');
  }).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join(
    '-',
  ) as Id;
}

/** Ids from a 32-bit random source: for seeded demo data, simulations and tests. */
export function newIdFrom(random: () => number): NewId {
  return <Id extends string>() =>
    uuidFromBytes<Id>(Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256)));
}
