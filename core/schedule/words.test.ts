import { expect, test } from 'vitest';
import { aboutMinutes, homeWords, rhythmWords, yourSides } from './words.ts';

test('sides are the client’s own, in their order', () => {
  expect(yourSides({ mode: 'each', first: 'right' })).toBe('Your right, then your left');
  expect(yourSides({ mode: 'each', first: 'left' })).toBe('Your left, then your right');
  expect(yourSides({ mode: 'left', first: 'left' })).toBe('Your left only');
  expect(yourSides({ mode: 'together', first: 'left' })).toBe('Both sides together');
  expect(yourSides({ mode: 'midline', first: 'left' })).toBe('In the middle');
});
test('how often', () => {
  expect(rhythmWords({ timesADay: 2, weekdays: [1, 2, 3, 4, 5, 6, 7] })).toBe('twice a day');
  expect(rhythmWords({ timesADay: 1, weekdays: [1, 3, 5] })).toBe('once a day on Monday, Wednesday and Friday');
  expect(rhythmWords({ timesADay: 4, weekdays: [7] })).toBe('four times a day on Sunday');
});
test('how long', () => {
  expect(aboutMinutes(38)).toBe('about 40 seconds');
  expect(aboutMinutes(2)).toBe('about 5 seconds');
  expect(aboutMinutes(58)).toBe('about 1 minute');
  expect(aboutMinutes(316)).toBe('about 5 minutes');
});
test('what a technique says, without what the practitioner says of their own hands', () => {
  expect(homeWords({ cue: 'Rest the palms.', clientCue: 'Let the jaw hang.' })).toBe(
    'Rest the palms. Let the jaw hang.',
  );
  expect(homeWords({ cue: 'Spread a little oil.', clientCue: 'I am putting on a little oil.' })).toBe(
    'Spread a little oil.',
  );
  expect(homeWords({ cue: 'Breathe.', clientCue: '' })).toBe('Breathe.');
});
