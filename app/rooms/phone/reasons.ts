import { STOPPED_FOR_TIME } from '../../../core/schedule';

/** Why somebody stops at home; more than time is a reason to ask before the next time. */
export const REASONS = [STOPPED_FOR_TIME, 'it hurts', 'dizzy or sick', 'numb or tingling', 'something new'] as const;
