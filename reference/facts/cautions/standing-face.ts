import { EYE, FACE, MOUTH, NECK, PRACTICE, rows, WHOLE_VISIT } from './define.ts';

/** Where botulinum and filler are usual; the place is not asked, so all of it counts. */
const TREATED = ['forehead', 'glabella', 'brow', 'temple', 'jaw', 'chin', 'upper-lip', 'nose', 'neck-front'] as const;
const FILLED = ['cheek', ...MOUTH, 'under-eye', 'jaw', 'nose', 'temple', 'glabella'] as const;

/** Standing facts of the face. */
export const STANDING_FACE = [
  ...rows('standing', 'avoid', {
    'eye-disease': {
      title: 'Glaucoma, retina or eye surgery',
      who: 'Glaucoma, retina trouble, very short sight, a recent operation.',
      question: 'Glaucoma, a retina problem or a recent eye operation?',
      appliesTo: [
        { region: EYE },
        { point: ['BL1', 'GB1', 'ST1'] },
        { work: ['eyes-squeezed', 'palms-over-eyes', 'lid'] },
        { position: ['face-down', 'head-low'] },
        { region: ['brow'], effect: 'warn' },
        { work: ['effort'], effect: 'warn' },
      ],
      advice: 'No work on rim or lids, no squeezing, no head-low position without the eye doctor’s agreement.',
      seeWho: 'The eye doctor.',
      source: 'Jasien 2015; Coleman 1969, from memory',
    },
    botulinum: {
      title: 'Recent botulinum injection',
      who: 'Injected within about two weeks.',
      question: 'Botulinum injections in face or neck in the past two weeks?',
      appliesTo: [
        { region: TREATED, work: ['circular-friction', 'gua-sha', 'vibration', 'heat', 'ball-on-it'] },
        { point: ['BL2', 'GB14', 'TE23', 'EX-HN3', 'EX-HN4'], work: ['standing-contact'] },
        { region: TREATED, cap: 'light' },
        { region: TREATED, effect: 'note' },
        { region: ['whole-face'], effect: 'warn' },
        { position: ['head-low', 'face-down'], effect: 'warn', bothSides: true },
      ],
      advice: 'No rubbing or pressing over treated areas for the time the injector gives; the head stays up.',
      anew: true,
      sided: true,
    },
    'botulinum-today': {
      title: 'Botulinum within a day',
      who: 'Injected within the last 24 hours.',
      question: 'Was the botulinum given within the last 24 hours?',
      appliesTo: [
        { region: TREATED, work: ['touch'], final: true },
        { position: ['head-low', 'face-down'], effect: 'stop', final: true },
      ],
      advice: 'The first day: no touch where it is given, and the head stays up.',
      anew: true,
      after: 'botulinum',
    },
    filler: {
      title: 'Recent filler or threads',
      who: 'Filler within about a month, threads within about two.',
      question: 'Filler in the past month or threads in the past two?',
      appliesTo: [
        { region: FILLED, work: ['gua-sha', 'circular-friction', 'intraoral', 'heat', 'pincer'] },
        { region: FILLED, work: ['microcurrent'] },
        { point: ['LI19', 'LI20', 'GV25', 'GV26', 'EX-HN3', 'EX-HN8'] },
        { region: FILLED, cap: 'light' },
        { region: FILLED, effect: 'warn' },
      ],
      advice:
        'Keep off the area until the injector clears it. Blanched skin, growing pain or a change of sight after filler: the injector or a hospital at once.',
      seeWho: 'The injector.',
      source: 'DeLorenzi 2014, from memory',
      anew: true,
      sided: true,
    },
    'recent-surgery': {
      title: 'Recent operation or extraction',
      who: 'Within about three months, or not yet released.',
      question: 'An operation, extraction or implant in the last three months?',
      appliesTo: [
        { region: [...FACE, 'scalp', 'ear', ...NECK], final: true },
        { work: ['jaw-wide', 'jaw-bites'], final: true },
      ],
      advice: 'Release by the surgeon or dentist first.',
      seeWho: 'The surgeon or dentist.',
      anew: true,
    },
    threads: {
      title: 'Threads',
      who: 'Threads within about two months.',
      question: 'Is it threads?',
      appliesTo: [{ region: FILLED }],
      advice: 'Nothing over threads until the one who placed them clears it.',
      seeWho: 'The one who placed them.',
      anew: true,
      after: 'filler',
    },
    'trigeminal-neuralgia': {
      title: 'Electric face pain',
      who: 'Stabs on one side set off by touch, chewing or wind.',
      question: 'Does light touch or chewing set off shock-like pain in the face?',
      appliesTo: [{ region: FACE }, { work: ['jaw-bites', 'jaw-wide', 'jaw-moves', 'face-exercise'], bothSides: true }],
      advice: 'No touch on the face and no chewing movement until the place is told.',
      seeWho: 'A doctor.',
      source: 'ICHD-3 2018; NICE CKS',
      sided: true,
    },
    'nerve-pain-brow': {
      title: 'Electric pain at brow or scalp',
      who: 'Shocks or burning at brow, forehead, scalp or back of the head, set off by touch.',
      question:
        'Does light touch, combing or wind set off shock-like or burning pain at the brow, forehead, scalp or back of the head?',
      appliesTo: [{ region: ['forehead', 'glabella', 'brow', 'scalp', 'neck-back'] }],
      advice: 'No touch at brow, forehead, scalp and back of the head until the place is told.',
      seeWho: 'A doctor.',
      source: 'ICHD-3 2018',
      sided: true,
    },
  }),
  ...rows('standing', 'adapt', {
    'jaw-lock': {
      title: 'Jaw that locks or clicks painfully',
      who: 'A jaw stuck, slipped out before, or sharply sore.',
      question: 'Does the jaw lock, slip out or hurt sharply on opening?',
      appliesTo: [
        { work: ['jaw-load', 'forced-opening', 'tool-on-moving-jaw'], effect: 'stop' },
        { work: ['jaw-wide'], not: ['finding-out'], effect: 'stop' },
        { work: ['jaw-wide'], effect: 'warn' },
        { region: ['jaw'], cap: 'light' },
        { region: ['jaw'], effect: 'warn' },
        { work: ['jaw-moves', 'jaw-bites', 'jaw-drops'], effect: 'warn' },
      ],
      advice:
        'Muscles lightly, inside the comfortable range. Stuck open, or a sudden change of bite: emergency dental care.',
      seeWho: 'A dentist if it sticks.',
      source: `DC/TMD 2014; ${PRACTICE}`,
    },
    'facial-palsy': {
      title: 'Facial weakness in recovery',
      who: 'A weak or drooping side that is known and treated.',
      question: 'Recovering from a weak or drooping side of the face?',
      appliesTo: [
        { work: ['microcurrent'], region: FACE, effect: 'stop', final: true, bothSides: true },
        { region: FACE, work: ['stretch'], effect: 'stop' },
        { region: FACE, cap: 'light' },
        { work: ['face-exercise', 'palms-over-eyes'], effect: 'warn' },
      ],
      advice: 'Light work with the treating clinician; no stretching, no current; the eye is kept free.',
      seeWho: 'The treating clinician.',
      source: 'NICE CKS Bell’s palsy',
      sided: true,
    },
    'oil-allergy': {
      title: 'Reaction to oils or creams',
      who: 'A known reaction, eczema, scent asthma, nut allergy.',
      question: 'Any reaction to oils, creams, scents, nuts or latex?',
      appliesTo: [
        { work: ['essential-oil'], effect: 'stop' },
        { work: ['nut-oil', 'latex-gloves'], effect: 'stop', final: true },
        { work: ['oil', 'spreading'], effect: 'warn' },
      ],
      advice: 'Check ingredients; patch test first. Swelling lips or trouble breathing: emergency help.',
      source: `Tisserand and Young 2014, from memory; ${PRACTICE}`,
    },
    'essential-oil': {
      title: 'Strong scents',
      who: 'Trouble with scents, asthma or seizures.',
      question: 'Do strong scents trouble you, or is there asthma?',
      appliesTo: [
        { work: ['essential-oil'], effect: 'stop' },
        { work: ['scent-at-eye'], effect: 'stop', final: true },
      ],
      advice: 'No scents at all.',
      source: 'Tisserand and Young 2014, from memory',
    },
    'metal-allergy': {
      title: 'Metal allergy',
      who: 'Skin that reacts to nickel or other metals.',
      question: 'Does jewellery or metal make your skin react?',
      appliesTo: [
        { tool: ['gua-sha-tool', 'roller', 'microcurrent-device', 'metal-tool'], effect: 'stop' },
        { tool: ['probe'], effect: 'warn' },
      ],
      advice: 'Stone, glass or hands; ask what a stick is made of.',
    },
    'metal-implants': {
      title: 'Plates, screws, braces or dental implants',
      who: 'Metal in head, jaw or neck.',
      question: 'Metal plates, dental implants, braces or piercings in head or neck?',
      appliesTo: [
        { work: ['microcurrent', 'vibration'], effect: 'stop' },
        { region: [...FACE, 'ear', 'scalp'], cap: 'medium' },
        { region: [...FACE], work: ['heat', 'ball-on-it'], effect: 'warn' },
        { region: ['ear'], effect: 'warn' },
      ],
      advice: 'No current or vibration over metal; no firm pressure over plates; piercings out.',
      source: `device instructions; ${PRACTICE}`,
    },
    'emotional-release': {
      title: 'Being touched on face or neck',
      who: 'Everyone; more care after bad experiences, with panic or loss.',
      question: 'Is there anything about being touched on face, jaw or neck we should know?',
      appliesTo: [
        { region: ['neck-front', 'neck-side'], effect: 'warn' },
        { work: ['palms-over-eyes'], effect: 'warn' },
        { work: ['eyes-shut'], not: ['touch'], effect: 'warn' },
        { work: ['any'], effect: 'note' },
      ],
      advice: 'Agree a stop word, say what comes next, pause when feelings rise, offer to end.',
    },
  }),
  ...rows('standing', 'note', {
    'medication-overuse': {
      title: 'Headache with frequent painkillers',
      who: 'Headache on 15 or more days a month with painkillers on 10 or 15 of them.',
      question: 'Headache on 15 or more days a month, and painkillers on 10 or more of them?',
      appliesTo: WHOLE_VISIT,
      advice: 'Work may go on gently. Suggest a talk with doctor or pharmacist; never advise stopping a medicine.',
      seeWho: 'A doctor or pharmacist.',
      source: 'ICHD-3 (8.2)',
    },
  }),
];
