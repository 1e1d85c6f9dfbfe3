import type { MeasureKey } from '../core/measures/index.ts';
import type { HabitSides, VisitStage } from '../core/record/index.ts';
import type { ComplaintKind, Pressure, Region, Side } from '../core/words/index.ts';
import type { RoutineKey } from './routines.ts';

/** One rating: days before today, value; `h` = at home. */
type Rating = [daysAgo: number, value: number, at?: 'h'];

interface DemoComplaint {
  kind: ComplaintKind;
  label?: string;
  side: Side;
  onset: string;
  triggers: string;
  goal: string;
  ratings: Rating[];
}
/** Masseter and temple tenderness [right, left], opening mm, fingers: at each visit, oldest first. */
export interface DemoVisit {
  daysAgo: number;
  masseter?: [number, number];
  temple?: [number, number];
  openingMm?: number;
  /** Further readings of the jaw, all before the work. */
  jaw?: [MeasureKey, 'midline' | 'left' | 'right', number][];
  /** The scan from inside: region, side, 0 nothing noticed, 1 at ease, 2 tense. */
  scan?: [Region, 'midline' | 'left' | 'right', 0 | 1 | 2][];
  fingers?: number;
  stopped?: string;
  routine?: RoutineKey;
  note?: string;
  /** Ends early by itself; the reason. */
  stopReason?: string;
}
export interface DemoClient {
  name: string;
  about: string;
  note?: string;
  pressureCap?: Pressure;
  fingers?: number[];
  habitSides?: HabitSides;
  allergies?: string[];
  by: 'imke' | 'rafe';
  yes?: string[];
  complaints: DemoComplaint[];
  visits: DemoVisit[];
  today?: { time: string; stage: VisitStage; routine?: RoutineKey; minutes?: number };
  reviewInDays?: number;
}

const c = (kind: ComplaintKind, side: Side, words: [string, string, string], ratings: Rating[]): DemoComplaint => ({
  kind,
  side,
  onset: words[0],
  triggers: words[1],
  goal: words[2],
  ratings,
});

/** The made-up clients of Harbour Row. Every figure here is invented. */
export const PEOPLE: DemoClient[] = [
  {
    name: 'Noor Halvorsen',
    about: 'second violins',
    by: 'imke',
    habitSides: { instrument: 'left', hand: 'right' },
    allergies: ['nuts'],
    fingers: [16, 17, 16, 14],
    yes: ['neck-strain'],
    note: 'Holds the instrument on the left.',
    reviewInDays: 3,
    complaints: [
      c(
        'jaw',
        'left',
        ['last season', 'long rehearsals, cold hall', 'Yawn without thinking about it'],
        [
          [32, 7, 'h'],
          [30, 6, 'h'],
          [28, 7, 'h'],
          [26, 7, 'h'],
          [24, 7],
          [23, 7, 'h'],
          [21, 7, 'h'],
          [20, 6, 'h'],
          [18, 6, 'h'],
          [16, 6],
          [15, 5, 'h'],
          [14, 6, 'h'],
          [12, 5, 'h'],
          [11, 5, 'h'],
          [9, 4, 'h'],
          [8, 4],
          [7, 5, 'h'],
          [5, 4, 'h'],
          [4, 4, 'h'],
          [2, 3, 'h'],
          [1, 3, 'h'],
          [0, 3],
        ],
      ),
      c(
        'headache',
        'both',
        ['two months', 'after concerts', 'Read in the evening'],
        [
          [32, 4, 'h'],
          [29, 5, 'h'],
          [26, 4, 'h'],
          [24, 4],
          [21, 5, 'h'],
          [16, 4],
          [12, 3, 'h'],
          [8, 4],
          [3, 3, 'h'],
          [0, 3],
        ],
      ),
    ],
    visits: [
      {
        daysAgo: 24,
        scan: [
          ['forehead', 'midline', 2],
          ['jaw', 'right', 1],
          ['jaw', 'left', 2],
          ['temple', 'right', 1],
          ['temple', 'left', 2],
          ['lips', 'midline', 0],
          ['neck-side', 'right', 1],
          ['neck-side', 'left', 2],
        ],
        masseter: [1, 3],
        temple: [1, 2],
        openingMm: 31,
        jaw: [
          ['overlap-mm', 'midline', 3],
          ['opening-furthest-mm', 'midline', 35],
          ['sideways-mm', 'right', 5],
          ['sideways-mm', 'left', 8],
          ['forward-mm', 'midline', 5],
          ['path-off-mm', 'left', 4],
          ['path-returns', 'midline', 1],
          ['click-opening-mm', 'left', 22],
        ],
        fingers: 2,
        routine: 'jaw',
      },
      { daysAgo: 16, masseter: [1, 2], temple: [1, 2], openingMm: 35, fingers: 2, routine: 'jaw' },
      {
        daysAgo: 8,
        masseter: [1, 2],
        temple: [0, 1],
        openingMm: 38,
        fingers: 2,
        routine: 'jaw',
        note: 'Temple ache travelled to the upper teeth, then let go.',
      },
      {
        daysAgo: 0,
        masseter: [1, 1],
        temple: [0, 1],
        openingMm: 41,
        jaw: [
          ['overlap-mm', 'midline', 3],
          ['opening-furthest-mm', 'midline', 44],
          ['sideways-mm', 'right', 7],
          ['sideways-mm', 'left', 8],
          ['forward-mm', 'midline', 6],
          ['path-off-mm', 'left', 2],
          ['path-returns', 'midline', 1],
        ],
        fingers: 3,
      },
    ],
    today: { time: '11:00', stage: 'compose', routine: 'jaw' },
  },
  {
    name: 'Tobias Achterberg',
    about: 'conductor',
    by: 'imke',
    pressureCap: 'light',
    yes: ['anticoagulant'],
    note: 'Blood thinners: light at most, no probe.',
    complaints: [
      c(
        'headache',
        'both',
        ['years', 'tour flights, late scores', 'Conduct the second half without it'],
        [
          [49, 7, 'h'],
          [46, 6, 'h'],
          [44, 7, 'h'],
          [42, 7],
          [38, 6, 'h'],
          [35, 6],
          [31, 6, 'h'],
          [28, 5],
          [24, 5, 'h'],
          [21, 8],
          [17, 5, 'h'],
          [14, 4],
          [10, 4, 'h'],
          [7, 4],
          [3, 3, 'h'],
          [0, 3],
        ],
      ),
      c(
        'neck-tension',
        'both',
        ['years', 'raised arms', 'Turn to the left without a pull'],
        [
          [42, 6],
          [28, 5],
          [14, 5],
          [0, 4],
        ],
      ),
    ],
    visits: [42, 35, 28, 21, 14, 7, 0].map((daysAgo, i) => ({
      daysAgo,
      temple: [Math.max(0, 2 - (i >> 1)), Math.max(0, 2 - (i >> 1))] as [number, number],
      routine: 'headache' as const,
      ...(daysAgo === 21 ? { note: 'Flight from the tour last night.' } : {}),
    })),
    today: { time: '09:30', stage: 'done' },
  },
  {
    name: 'Wilma Okonjo',
    about: 'copyist and librarian',
    by: 'rafe',
    yes: ['contact-lens'],
    note: 'Eight screen hours a day.',
    complaints: [
      c(
        'eye-strain',
        'both',
        ['half a year', 'small print, screens', 'Finish a part without rubbing the eyes'],
        [
          [33, 5, 'h'],
          [30, 5, 'h'],
          [28, 6, 'h'],
          [26, 5],
          [23, 6, 'h'],
          [19, 5],
          [16, 5, 'h'],
          [13, 4, 'h'],
          [12, 5],
          [9, 6, 'h'],
          [5, 5],
          [2, 5, 'h'],
          [1, 5, 'h'],
        ],
      ),
      {
        label: 'Brow tension',
        ...c(
          'other',
          'both',
          ['half a year', 'frowning at the screen', 'Brow at rest'],
          [
            [26, 4],
            [12, 4],
            [5, 4],
          ],
        ),
      },
    ],
    visits: [26, 19, 12, 5].map((daysAgo) => ({
      daysAgo,
      temple: [1, 1] as [number, number],
      routine: 'eyes' as const,
    })),
    today: { time: '13:30', stage: 'screen', minutes: 45 },
  },
  {
    name: 'Petr Lindqvist',
    about: 'oboe',
    by: 'imke',
    fingers: [18, 19, 18, 16],
    complaints: [
      c(
        'jaw',
        'both',
        ['five weeks', 'new reed, long tones', 'Play the slow movement'],
        [
          [19, 4, 'h'],
          [16, 4, 'h'],
          [14, 3, 'h'],
          [12, 4],
          [10, 5, 'h'],
          [8, 6, 'h'],
          [6, 7],
          [4, 7, 'h'],
          [2, 8, 'h'],
          [1, 8, 'h'],
        ],
      ),
      {
        label: 'Upper lip fatigue',
        ...c(
          'other',
          'midline',
          ['five weeks', 'upper lip after an hour', 'Lip that lasts'],
          [
            [12, 3],
            [6, 5],
          ],
        ),
      },
    ],
    visits: [
      {
        daysAgo: 12,
        masseter: [2, 2],
        openingMm: 42,
        fingers: 3,
        routine: 'jaw',
        note: 'Clicks on the right at opening.',
      },
      { daysAgo: 6, masseter: [3, 2], openingMm: 39, fingers: 2, routine: 'jaw', stopReason: 'Sharp or rising pain' },
    ],
    today: { time: '15:00', stage: 'screen' },
  },
  {
    name: 'Jun Castellan',
    about: 'stage manager',
    by: 'rafe',
    complaints: [c('stress', 'midline', ['this season', 'cue calls', 'Sleep through'], [])],
    visits: [],
    today: { time: '16:30', stage: 'screen', minutes: 75 },
  },
  {
    name: 'Lena Marchetti',
    about: 'viola',
    by: 'rafe',
    complaints: [
      c(
        'eye-strain',
        'both',
        ['three months', 'stand light', 'Read without squinting'],
        [
          [33, 6],
          [32, 6, 'h'],
          [31, 5, 'h'],
          [30, 5, 'h'],
          [28, 5, 'h'],
          [26, 5, 'h'],
          [24, 5, 'h'],
          [19, 5],
        ],
      ),
    ],
    visits: [33, 19].map((daysAgo) => ({ daysAgo, temple: [1, 1] as [number, number], routine: 'eyes' as const })),
  },
  {
    name: 'Arno Vasquez',
    about: 'percussion',
    by: 'imke',
    complaints: [c('headache', 'right', ['that morning', 'came within seconds', 'Know what it is'], [])],
    visits: [{ daysAgo: 5, stopped: 'thunderclap' }],
  },
  {
    name: 'Sunniva Adeyemi',
    about: 'flute',
    by: 'rafe',
    yes: ['pregnancy'],
    note: '26 weeks pregnant: the traditional points stay out.',
    complaints: [
      c(
        'jaw',
        'both',
        ['two months', 'practice before noon', 'Chew without thinking'],
        [
          [20, 5],
          [13, 5],
          [6, 4],
        ],
      ),
      c(
        'stress',
        'midline',
        ['this spring', 'deadlines', 'A calm evening'],
        [
          [20, 6],
          [13, 5],
          [6, 5],
        ],
      ),
    ],
    visits: [20, 13, 6].map((daysAgo) => ({
      daysAgo,
      masseter: [1, 1] as [number, number],
      openingMm: 44,
      fingers: 3,
      routine: 'calm' as const,
    })),
  },
  {
    name: 'Caspian Holt',
    about: 'double bass',
    by: 'imke',
    yes: ['thyroid'],
    complaints: [
      c(
        'headache',
        'both',
        ['a year', 'grinding at night', 'Wake with an easy head'],
        [
          [42, 8, 'h'],
          [40, 7, 'h'],
          [38, 8, 'h'],
          [35, 8],
          [33, 7, 'h'],
          [30, 7, 'h'],
          [28, 6],
          [25, 6, 'h'],
          [21, 5],
          [18, 5, 'h'],
          [14, 4],
          [11, 3, 'h'],
          [7, 3],
          [4, 2, 'h'],
          [2, 2, 'h'],
        ],
      ),
    ],
    visits: [35, 28, 21, 14, 7].map((daysAgo, i) => ({
      daysAgo,
      masseter: [Math.max(0, 3 - i), Math.max(0, 3 - i)] as [number, number],
      temple: [Math.max(0, 3 - i), Math.max(1, 3 - i)] as [number, number],
      openingMm: 38 + 2 * i,
      fingers: 3,
      routine: 'headache' as const,
    })),
  },
  {
    name: 'Odile Brandt',
    about: 'horn',
    by: 'rafe',
    complaints: [
      c(
        'sinus',
        'both',
        ['winter', 'cold mornings', 'Breathe through the nose on the long solo'],
        [
          [18, 6],
          [16, 5, 'h'],
          [14, 5, 'h'],
          [11, 4],
          [8, 4, 'h'],
          [4, 3],
          [1, 3, 'h'],
        ],
      ),
      c(
        'puffiness',
        'both',
        ['winter', 'on waking', 'Eyes open at eight'],
        [
          [18, 5],
          [11, 4],
          [4, 3],
        ],
      ),
    ],
    visits: [18, 11, 4].map((daysAgo) => ({ daysAgo, routine: 'drain' as const })),
  },
  {
    name: 'Mireille Sato-Lund',
    about: 'chorus',
    by: 'imke',
    habitSides: { chewing: 'right' },
    note: 'Chews on the right.',
    complaints: [
      c(
        'jaw',
        'right',
        ['a year', 'wide vowels', 'Sing without the click'],
        [
          [37, 6, 'h'],
          [34, 6, 'h'],
          [32, 5, 'h'],
          [30, 6],
          [27, 6, 'h'],
          [23, 5],
          [20, 5, 'h'],
          [16, 4],
          [13, 3, 'h'],
          [9, 3],
          [6, 2, 'h'],
          [2, 3],
        ],
      ),
      c(
        'jaw',
        'left',
        ['a year', 'wide vowels', 'As easy as the right'],
        [
          [37, 4, 'h'],
          [34, 4, 'h'],
          [32, 5, 'h'],
          [30, 4],
          [27, 4, 'h'],
          [23, 4],
          [20, 5, 'h'],
          [16, 4],
          [13, 4, 'h'],
          [9, 4],
          [6, 4, 'h'],
          [2, 4],
        ],
      ),
    ],
    visits: [30, 23, 16, 9, 2].map((daysAgo, i) => ({
      daysAgo,
      masseter: [Math.max(1, 3 - i), 2] as [number, number],
      openingMm: 43 + i,
      fingers: 3,
      routine: 'jaw' as const,
    })),
  },
  {
    name: 'Yannick Bello',
    about: 'lighting',
    by: 'rafe',
    yes: ['implanted-electronics'],
    note: 'Asked for microcurrent: refused, implanted pacemaker.',
    complaints: [
      c(
        'stress',
        'midline',
        ['spring', 'focus calls at night', 'Shoulders down'],
        [
          [22, 6],
          [15, 6],
          [8, 5],
        ],
      ),
    ],
    visits: [22, 15, 8].map((daysAgo) => ({ daysAgo, routine: 'calm' as const })),
  },
];
