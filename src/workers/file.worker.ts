import './locale'
import { expose } from 'comlink'
import { newId } from '@/core/document/id'
import { readFileOfJobs, unicodeOf } from '@/core/formats/backupFile'
import { readDaysOff } from '@/core/formats/daysOff'
import { readPartsCsv } from '@/core/formats/partsCsv'
import { CATALOGUE } from '@/core/machine/parts'
import type { FileWorker } from './protocol'

const worker: FileWorker = {
  read: (bytes, onProgress) => readFileOfJobs(unicodeOf(bytes), onProgress),
  parts: (text, before, onProgress) => readPartsCsv(text, before, CATALOGUE, onProgress),
  workbook: async tables => (await import('@/core/formats/workbook')).writeWorkbook(tables),
  daysOff: (text, window) => readDaysOff(text, window, newId),
}
expose(worker)
