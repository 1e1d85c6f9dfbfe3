import { boolean, number, object, string, type InferType } from 'yup';

const minutes = number()
  .typeError('0 to 120 minutes are accepted.')
  .integer('Whole minutes are accepted.')
  .min(0, '0 to 120 minutes are accepted.')
  .max(120, '0 to 120 minutes are accepted.')
  .required('Say how many minutes.');

export const roomSchema = object({
  name: string().trim().required('Type a name.').max(40, 'At most 40 characters are accepted.'),
  changeMinutes: minutes,
  isClosed: boolean().default(false),
});
export type RoomForm = InferType<typeof roomSchema>;

const clock = string()
  .trim()
  .required('Choose a time.')
  .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time such as 09:00 is accepted.');
export const hoursSchema = object({
  dayFrom: clock,
  dayUntil: clock.test('after', 'The day ends after it began, by an hour at least.', function (until) {
    const { dayFrom } = this.parent as { dayFrom?: string };
    return !dayFrom || !until || minuteOf(until) >= minuteOf(dayFrom) + 60;
  }),
  beforeMinutes: minutes,
  afterMinutes: minutes,
});
export type Hours = InferType<typeof hoursSchema>;
const minuteOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
