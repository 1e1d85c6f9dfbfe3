import { VIEWS } from '../../core/drawing';
import { number, object, string } from 'yup';
import { once } from './once';

/** A mark on the chart: the place asked for, and where on which sheet it was put, in px. */
export const markSchema = object({
  once,
  question: string().required().max(80),
  side: string()
    .oneOf(['left', 'right'] as const)
    .required(),
  view: string().oneOf(VIEWS).required(),
  x: number().min(0).max(1000).required(),
  y: number().min(0).max(1000).required(),
  /** Against the clock: how long it took. */
  tookMs: number().integer().min(0).max(3_600_000),
});
