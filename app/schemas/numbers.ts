import { object } from 'yup';
import { daysFrom } from '../../core/schedule';
import { calendarDay } from './day';

/** From one day to another, a year at most. */
export const spanSchema = object({
  from: calendarDay.required('Choose a day.'),
  until: calendarDay
    .required('Choose a day.')
    .test('after', 'A day after the first is accepted, a year on at most.', function (until) {
      const { from } = this.parent as { from?: string };
      if (!from || !until) return true;
      const days = daysFrom(from, until);
      return days >= 0 && days <= 366;
    }),
});
