import { parentPort } from 'node:worker_threads';
import { doJob, type Job } from './jobs';

// One job after another; the server ends the whole thread where nobody waits any more.
parentPort?.on('message', (job: Job) => parentPort?.postMessage(doJob(job)));
