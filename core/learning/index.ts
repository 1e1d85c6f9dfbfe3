/** What comes back over days, sooner where it was missed: places on the chart, words of pressure. */
export { afterAnswer, nextQuestion, type TrainerCard, type TrainerGrade } from './spaced.ts';
