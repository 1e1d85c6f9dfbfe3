/**
 * How well a fact is founded. Every table in this folder carries one of these per row or for the whole table.
 * - sure: confident of the figure and its source
 * - from-memory: remembered, to be verified against the named source
 * - common-practice: a custom of the trade, no published source
 * - our-choice: a decision of this product
 */
export type Mark = 'sure' | 'from-memory' | 'common-practice' | 'our-choice';
