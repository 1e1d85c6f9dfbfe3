import { refreshOutdatedCourses } from '../db/queries/courses.server';
import { log, told } from '../log';

/**
 * Judges every outdated course of a practice; what fails is told to the log and left for the next start.
 * @param judged Hears how many are done.
 */
export async function judgeAnew(practiceId: string, judged?: (done: number) => void): Promise<void> {
  try {
    await refreshOutdatedCourses(practiceId, judged);
  } catch (error) {
    log.error({ practiceId, ...told(error) }, 'courses not judged anew');
  }
}
