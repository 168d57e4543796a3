const LIMIT_BYTES = 25 * 1024 * 1024;

/** Why a file cannot be taken as a photo; null when it can. The server looks again. */
export async function pictureTrouble(file: Blob & { name?: string }): Promise<string | null> {
  const name = file.name ?? 'The picture';
  if (file.size > LIMIT_BYTES)
    return `${name} has ${Math.ceil(file.size / 1024 / 1024)} MB; up to 25 MB can be taken. Take it at a lower resolution.`;
  if (file.size === 0) return `${name} is empty.`;
  try {
    const bitmap = await createImageBitmap(file);
    bitmap.close();
    return null;
  } catch {
    return `${name} is not a picture that can be read. Use JPEG, PNG or WebP; on some phones set the camera to “most compatible”.`;
  }
}
