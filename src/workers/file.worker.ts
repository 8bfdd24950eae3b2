import './locale'
import { expose } from 'comlink'
import { newId } from '@/core/document/id'
import { readFileOfJobs, unicodeOf } from '@/core/formats/backupFile'
import { readDaysOff } from '@/core/formats/daysOff'
import type { FileWorker } from './protocol'

const worker: FileWorker = {
  read: (bytes, onProgress) => readFileOfJobs(unicodeOf(bytes), onProgress),
  workbook: async tables => (await import('@/core/formats/workbook')).writeWorkbook(tables),
  daysOff: (text, window) => readDaysOff(text, window, newId),
}
expose(worker)
