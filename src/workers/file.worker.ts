import './locale'
import { expose } from 'comlink'
import { readFileOfJobs } from '@/core/formats/backupFile'
import type { FileWorker } from './protocol'

const worker: FileWorker = { read: readFileOfJobs }
expose(worker)
