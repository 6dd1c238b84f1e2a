import { ApiProblem } from '@/api/client'
import { i18n } from './texts'

/** The text of a file that somebody chose, unless it is larger than the program takes. */
export async function fileText(file: File, mostBytes: number): Promise<string> {
  if (file.size > mostBytes)
    throw new ApiProblem(
      413,
      'file-too-large',
      i18n.global.t('app.fileTooLarge', { name: file.name, mb: Math.floor(mostBytes / 1024 / 1024) }),
    )
  return await file.text()
}
