/**
 * How the complaints of some clients stand: a client counts as worse when any open complaint is, else as better when any
 * is, else as the same when any is; of the others it cannot be told. Seen together, no proof.
 */
export interface Stands {
  of: number;
  better: number;
  worse: number;
  same: number;
}

/** Of so many clients and more it is told how they stand. Our choice; it stands on the page. */
export const STANDS_FROM_CLIENTS = 5;

/** Somebody who came, and has not come for long. */
export interface StoppedComing {
  clientId: string;
  clientName: string;
  /** Visits that were finished. */
  visits: number;
  /** The last of them, ISO 8601. */
  lastAt: string;
}
/** Without a visit for so many days and none booked. Our choice. */
export const STOPPED_AFTER_DAYS = 42;

/** A complaint that is worked on and was not rated for long. */
export interface RatingDue {
  clientId: string;
  clientName: string;
  complaint: string;
  /** ISO 8601; null where it never was. */
  ratedAt: string | null;
}
/** Without a rating for so many days while the client comes. Our choice. */
export const RATING_DUE_DAYS = 14;
