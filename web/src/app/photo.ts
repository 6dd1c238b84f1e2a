import { api, got } from '@/api/client'

/** What a photo may have, bytes, and what it may be; any other is drawn anew with its longer side this long, px. */
const mostBytes = 8 * 1024 * 1024
const kept = ['image/jpeg', 'image/png', 'image/webp']
const longest = 4000

/** A photo that may be sent: as it is, or drawn anew; null where it would have to be and cannot be read. */
export async function sendable(file: File): Promise<File | null> {
  if (file.size <= mostBytes && kept.includes(file.type)) return file
  try {
    const picture = await createImageBitmap(file)
    const scale = Math.min(1, longest / Math.max(picture.width, picture.height))
    const canvas = document.createElement('canvas')
    canvas.width = Math.round(picture.width * scale)
    canvas.height = Math.round(picture.height * scale)
    canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.85))
    return blob && blob.size <= mostBytes ? new File([blob], file.name, { type: 'image/jpeg' }) : null
  } catch {
    return null
  }
}

/** Adds a photo to a finding. */
export const addPhoto = (vehicleId: string, id: string, file: File) =>
  got(
    api.POST('/api/vehicles/{vehicleId}/findings/{id}/photos', {
      params: { path: { vehicleId, id } },
      body: file as unknown as string,
      bodySerializer: (b) => b as unknown as BodyInit,
      headers: { 'Content-Type': file.type || 'application/octet-stream' },
    }),
  )
