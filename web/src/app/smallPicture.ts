/** The longer side of a photo as it is sent, pixels, and how finely it is drawn. */
const SIDE = 1280
const QUALITY = 0.75

/**
 * A picture of a file, made small, as a JPEG in base64. It is drawn anew: what the camera wrote beside it, the place too, is
 * not in it. null for a file that is no picture.
 */
export async function smallPicture(file: Blob): Promise<string | null> {
  const drawn = await createImageBitmap(file).catch(() => null)
  if (!drawn) return null
  const shrinks = Math.min(1, SIDE / Math.max(drawn.width, drawn.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(drawn.width * shrinks))
  canvas.height = Math.max(1, Math.round(drawn.height * shrinks))
  canvas.getContext('2d')?.drawImage(drawn, 0, 0, canvas.width, canvas.height)
  drawn.close()
  const [, jpeg = null] = canvas.toDataURL('image/jpeg', QUALITY).split(',')
  return jpeg
}
