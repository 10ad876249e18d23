import { ArgumentError } from '../../core/index.js';
import { UsageError } from '../errors.js';
import { auditOne, type PageOutcome, type PageTask } from './audit-one.js';

/** What a thread answers: errors lose their class on the way, so wrong use is told in words. */
export type Answer = PageOutcome | { readonly name: string; readonly misuse: { message: string; remedy: string } };

export default async function work(task: PageTask): Promise<Answer> {
  try {
    return await auditOne(task);
  } catch (error) {
    if (!(error instanceof UsageError || error instanceof ArgumentError)) throw error;
    return { name: task.name, misuse: { message: error.message, remedy: error.remedy } };
  }
}
