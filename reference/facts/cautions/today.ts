import { EYE, FACE, HEAD_GOES, MOUTH, NECK, rows, WHOLE_VISIT } from './define.ts';

/** How the client is today: asked anew at each visit. */
export const TODAY = [
  ...rows('today', 'avoid', {
    'fever-infection': {
      title: 'Fever or feeling ill',
      who: 'A temperature or an acute infection.',
      question: 'A temperature or feeling unwell today?',
      appliesTo: WHOLE_VISIT,
      advice: 'Postpone until recovered.',
      seeWho: 'A doctor if it does not settle.',
    },
    'skin-broken': {
      title: 'Sore or infected skin',
      who: 'A wound, weeping rash or infection on face, head or neck.',
      question: 'Any open, infected or sore skin on face, head or neck today?',
      appliesTo: WHOLE_VISIT,
      advice: 'Postpone; spreading redness belongs with a doctor.',
      seeWho: 'A doctor if it spreads.',
    },
    sunburn: {
      title: 'Sunburn',
      who: 'Red, hot or peeling skin.',
      question: 'Is the skin burnt or peeling from sun?',
      appliesTo: WHOLE_VISIT,
      advice: 'Postpone.',
    },
    shingles: {
      title: 'One-sided painful rash',
      who: 'A band of rash or blisters with pain.',
      question: 'A one-sided painful rash or blisters?',
      appliesTo: WHOLE_VISIT,
      advice: 'Postpone until it has healed.',
      seeWho: 'A doctor; the same day near the eye.',
      source: 'NICE CKS shingles',
    },
    'cold-sore': {
      title: 'Cold sore',
      who: 'Tingling, blister or crust near the lip.',
      question: 'A cold sore, or the tingling before one?',
      appliesTo: [
        { region: MOUTH, final: true },
        { point: ['ST4', 'LI19', 'LI20', 'GV26', 'GV27', 'CV24'], final: true },
      ],
      advice: 'Keep away from the mouth, and nothing that spreads over the face.',
    },
    'neck-injury': {
      title: 'Neck injury',
      who: 'Whiplash, a fall, surgery, or a neck known to be unstable.',
      question: 'Hurt your neck recently, neck surgery, or told it is unstable?',
      appliesTo: [
        { work: [...HEAD_GOES, 'neck-traction'], effect: 'stop', final: true },
        { region: [...NECK, 'shoulder'] },
        { work: ['shakes-head', 'head-nods'], effect: 'warn' },
      ],
      advice: 'No work on neck and shoulder, no movement of the head, until it has been cleared.',
      seeWho: 'A doctor before any neck work.',
      source: 'IFOMPT Cervical Framework 2020 (Rushton)',
    },
    'neck-inflamed': {
      title: 'Neck in a flare',
      who: 'A hot, swollen or rheumatic neck today.',
      question: 'Is your neck hot, swollen or in a rheumatic flare today?',
      appliesTo: [
        { work: [...HEAD_GOES, 'neck-traction'], effect: 'stop', final: true },
        { region: NECK },
        { region: ['shoulder'], cap: 'light' },
        { region: ['shoulder'], effect: 'warn' },
      ],
      advice: 'Nothing on the neck and no movement of the head; light on the shoulder; no heat.',
      seeWho: 'The treating doctor.',
      source: 'IFOMPT Cervical Framework 2020 (Rushton)',
    },
    'anaesthetic-today': {
      title: 'Numbed today',
      who: 'Dentist, injection or numbing cream today.',
      question: 'Has any part of your face, mouth or neck been numbed today (dentist, injection, numbing cream)?',
      appliesTo: [
        { region: [...FACE, 'ear', ...NECK], final: true },
        { work: ['jaw-wide', 'jaw-moves', 'jaw-bites'], final: true },
        { work: ['microcurrent', 'heat', 'cold'], final: true },
      ],
      advice: 'No work on face, mouth or neck until feeling is back.',
    },
    'eye-infection': {
      title: 'Red or sticky eye',
      who: 'A red or sticky eye, or a stye.',
      question: 'Is an eye red, sticky, or is there a stye today?',
      appliesTo: [
        { region: [...EYE, 'brow'], final: true },
        { region: ['cheek', 'temple', 'jaw', 'nose', 'forehead', 'glabella'], effect: 'warn' },
      ],
      advice: 'Nothing at eye, lid or brow; wash before and after, and nothing upward to the eye.',
      seeWho: 'A doctor if it hurts or sight changes.',
    },
    'ear-trouble': {
      title: 'Ear trouble',
      who: 'An infection, discharge, a hole in the drum, a recent operation.',
      question: 'Do you have an ear infection, discharge, a hole in the drum, or a recent ear operation?',
      appliesTo: [
        { region: ['ear'], not: ['spreading'] },
        { work: ['spreading', 'jaw-wide'], effect: 'warn' },
      ],
      advice: 'Nothing at or round the ear; no oil near it.',
      seeWho: 'A doctor.',
      sided: true,
    },
    'dulled-today': {
      title: 'Alcohol, sedative or strong painkiller today',
      who: 'Feeling that cannot be trusted today.',
      question: 'Have you had alcohol, a sedative or a strong painkiller today?',
      appliesTo: [
        { work: ['microcurrent', 'heat-pack', 'cold'], effect: 'stop', final: true },
        { cap: 'light', final: true },
        { work: ['stretch', 'head-tips', 'head-turns', 'head-hangs', 'jaw-wide'], effect: 'warn' },
      ],
      advice: 'Light only, no current, no heat; stretches and wide openings with care.',
    },
  }),
  ...rows('today', 'adapt', {
    'headache-today': {
      title: 'Strong headache now',
      who: 'A strong headache or migraine at this moment; sudden or changed ones are red flags.',
      question: 'Do you have a strong headache or migraine right now?',
      appliesTo: [
        { work: ['essential-oil'], effect: 'stop' },
        { region: [...FACE, 'scalp', ...NECK], cap: 'light' },
        { work: ['head-hangs', 'taps'], effect: 'warn' },
        { region: ['forehead', 'glabella', 'brow', 'temple', 'scalp'], pressure: ['light'], effect: 'warn' },
      ],
      advice: 'Begin at feather; light at most on head and neck, no scent, no hanging head.',
    },
    'contact-lens': {
      title: 'Contact lenses in',
      who: 'Anyone wearing lenses now.',
      question: 'Wearing contact lenses today?',
      appliesTo: [
        { region: EYE, not: ['spreading', 'palms-over-eyes'], effect: 'stop', final: true },
        { work: ['eyes-squeezed'], effect: 'stop', final: true },
        { work: ['spreading', 'palms-over-eyes'], effect: 'warn' },
        { region: ['brow'], work: ['standing-contact'], effect: 'note' },
      ],
      advice: 'Lenses out before work near the eyes; no weight on the lids, oil and cream stay off them.',
    },
    'acne-rosacea': {
      title: 'Active spots or flushing skin',
      who: 'Pustules, cysts or flushing skin.',
      question: 'Active spots or flushing skin today?',
      appliesTo: [
        { region: FACE, work: ['gua-sha', 'circular-friction'], effect: 'stop' },
        { region: FACE, cap: 'light' },
        { region: FACE, work: ['heat', 'oil'], effect: 'warn' },
        { region: ['nose', 'chin', 'cheek'], work: ['press-hold'], pressure: ['light'], effect: 'note' },
      ],
      advice: 'Light holds beside the sore places, no rubbing; care with heat and oil.',
    },
    'recent-peel-laser': {
      title: 'Recent peel, laser or needling',
      who: 'Within about two weeks, longer when it went deep; strong skin medicine within six months.',
      question: 'A peel, laser, needling or a strong skin medicine lately?',
      appliesTo: [
        {
          region: FACE,
          work: ['moving-stroke', 'circular-friction', 'gua-sha', 'heat', 'oil', 'spreading'],
          effect: 'stop',
        },
        { region: FACE, cap: 'light' },
        { region: ['scalp'], effect: 'note' },
      ],
      advice: 'Light holds only on the face until the skin is calm and the provider agrees.',
    },
  }),
];
