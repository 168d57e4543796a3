import sharp from 'sharp';

/** A picture with a dark plate on a light bench, and a name to give to a file input. */
export async function picture(name: string, width = 800, height = 600) {
  const plate = {
    create: {
      width: Math.round(width / 2),
      height: Math.round(height / 3),
      channels: 3 as const,
      background: '#2c2b2a',
    },
  };
  const buffer = await sharp({ create: { width, height, channels: 3, background: '#9aa39f' } })
    .composite([{ input: plate, left: Math.round(width / 4), top: Math.round(height / 3) }])
    .jpeg()
    .toBuffer();
  return { name, mimeType: 'image/jpeg', buffer };
}
