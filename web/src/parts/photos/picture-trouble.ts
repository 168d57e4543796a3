import { PHOTO_BYTES } from '@which-way/core/schema';
import { PICTURE_TROUBLE_TEXT } from '@which-way/words/screens/parts/photos/picture-trouble';

/** Why a file cannot be taken as a photo; null when it can. The server looks again. */
export async function pictureTrouble(file: Blob & { name?: string }): Promise<string | null> {
  const name = file.name ?? PICTURE_TROUBLE_TEXT.thePicture;
  if (file.size > PHOTO_BYTES)
    return PICTURE_TROUBLE_TEXT.hasMbUpToMb(name, Math.ceil(file.size / 1024 / 1024));
  if (file.size === 0) return PICTURE_TROUBLE_TEXT.isEmpty(name);
  try {
    const bitmap = await createImageBitmap(file);
    bitmap.close();
    return null;
  } catch {
    return PICTURE_TROUBLE_TEXT.isNotAPictureThat(name);
  }
}
