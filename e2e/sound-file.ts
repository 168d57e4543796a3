/** A sound file: so many beeps of a pitch at known times, 16-bit mono. */
export function beepsAsWav(times: readonly number[], ms: number, hertz: number, seconds: number): Buffer {
  const rate = 48_000;
  const samples = new Int16Array(rate * seconds);
  for (const time of times)
    for (let at = 0; at < (rate * ms) / 1000; at += 1)
      samples[Math.round((time * rate) / 1000) + at] = 9000 * Math.sin((2 * Math.PI * hertz * at) / rate);
  const head = Buffer.alloc(44);
  head.write('RIFF', 0);
  head.writeUInt32LE(36 + samples.byteLength, 4);
  head.write('WAVEfmt ', 8);
  head.writeUInt32LE(16, 16);
  head.writeUInt16LE(1, 20);
  head.writeUInt16LE(1, 22);
  head.writeUInt32LE(rate, 24);
  head.writeUInt32LE(2 * rate, 28);
  head.writeUInt16LE(2, 32);
  head.writeUInt16LE(16, 34);
  head.write('data', 36);
  head.writeUInt32LE(samples.byteLength, 40);
  return Buffer.concat([head, Buffer.from(samples.buffer)]);
}
