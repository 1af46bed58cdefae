import { statfs } from 'node:fs/promises'
import { Expected } from './expected'

/** Under this much room nothing more is written, MB: the database stands still for good on a full disk. */
export const ROOM_LEAST_MB = 64
const MB = 1e6

/** The disk is nearly full. */
export class NoRoom extends Expected {
  constructor(folder: string, freeMB: number, neededMB: number) {
    super(
      `The disk that holds ${folder} is nearly full: ${Math.floor(freeMB)} MB are free, and ${neededMB} are needed. No saved entry is lost. Free some space, then go on.`,
    )
  }
}

/** Room on the disk of a folder, MB. */
export type FreeMB = (folder: string) => Promise<number>

export const freeMB: FreeMB = async (folder) => {
  const { bavail, bsize } = await statfs(folder)
  return (bavail * bsize) / MB
}

/** @throws NoRoom when less than so much is free */
export async function requireRoom(folder: string, free: FreeMB, neededMB = ROOM_LEAST_MB): Promise<void> {
  const room = await free(folder)
  if (room < neededMB) throw new NoRoom(folder, room, neededMB)
}
