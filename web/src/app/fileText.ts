import { ApiProblem } from '@/api/client'
import { i18n } from './texts'

/** A file that somebody chose, unless it is larger than the program takes. */
export function smallEnough(file: File, mostBytes: number): File {
  if (file.size > mostBytes)
    throw new ApiProblem(
      413,
      'file-too-large',
      i18n.global.t('app.fileTooLarge', { name: file.name, mb: Math.floor(mostBytes / 1024 / 1024) }),
    )
  return file
}

/** The text of such a file. */
export const fileText = async (file: File, mostBytes: number): Promise<string> => await smallEnough(file, mostBytes).text()
