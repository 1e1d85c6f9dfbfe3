import { rows } from './define.ts';

/** How the client is today. */
export const TODAY = [
  ...rows('today', 'avoid', {
    'fever-infection': {
      title: 'Fever or feeling ill',
      who: 'A temperature or an acute infection.',
      question: 'A temperature or feeling unwell today?',
      appliesTo: [{ work: ['any'] }],
      advice: 'Postpone until recovered.',
      seeWho: 'A doctor if it does not settle.',
    },
    'skin-broken': {
      title: 'Sore or infected skin',
      who: 'A wound, weeping rash or infection on face, head or neck.',
      question: 'Any open, infected or sore skin on face, head or neck today?',
      appliesTo: [{ work: ['any'] }, { muscle: ['epicranial-aponeurosis'] }],
      advice: 'Postpone; spreading redness belongs with a doctor.',
      seeWho: 'A doctor if it spreads.',
    },
    sunburn: {
      title: 'Sunburn',
      who: 'Red, hot or peeling skin.',
      question: 'Is the skin burnt or peeling from sun?',
      appliesTo: [{ work: ['any'] }],
      advice: 'Postpone.',
    },
    shingles: {
      title: 'One-sided painful rash',
      who: 'A band of rash or blisters with pain.',
      question: 'A one-sided painful rash or blisters?',
      appliesTo: [{ work: ['any'] }],
      advice: 'Postpone until it has healed.',
      seeWho: 'A doctor; the same day near the eye.',
      source: 'NICE CKS shingles',
    },
    'cold-sore': {
      title: 'Cold sore',
      who: 'Tingling, blister or crust near the lip.',
      question: 'A cold sore, or the tingling before one?',
      appliesTo: [
        { region: ['upper-lip', 'lips', 'chin'] },
        { work: ['intraoral'] },
        { point: ['ST4', 'LI19', 'GV26', 'GV27', 'CV24'] },
        { muscle: ['orbicularis-oris'] },
      ],
      advice: 'Keep away from the mouth.',
    },
    'neck-injury': {
      title: 'Neck injury',
      who: 'Whiplash, a fall, surgery, or a neck known to be unstable.',
      question: 'Hurt your neck recently, neck surgery, or told it is unstable?',
      appliesTo: [
        { region: ['neck-back', 'neck-side', 'shoulder'], pressure: ['medium', 'firm', 'deep'] },
        { work: ['neck-rotation', 'neck-traction'] },
        { point: ['BL10', 'GB12', 'GB20', 'TE16', 'GV15', 'GV16', 'EX-HN14', 'EX-HN-Anmian'] },
        {
          muscle: ['trapezius-upper', 'splenius-capitis', 'semispinalis-capitis', 'suboccipitals', 'levator-scapulae'],
          pressure: ['medium', 'firm', 'deep'],
        },
      ],
      advice: 'Skin strokes only on the neck until it has been cleared; head neutral.',
      seeWho: 'A doctor before any neck work.',
      source: 'IFOMPT Cervical Framework 2020',
    },
  }),
  ...rows('today', 'adapt', {
    'contact-lens': {
      title: 'Contact lenses in',
      who: 'Anyone wearing lenses now.',
      question: 'Wearing contact lenses today?',
      appliesTo: [
        { region: ['upper-lid', 'under-eye'] },
        { point: ['BL1', 'ST1'] },
        { muscle: ['orbicularis-oculi-palpebral'] },
      ],
      advice: 'Lenses out before work near the eyes.',
    },
    'acne-rosacea': {
      title: 'Active spots or flushing skin',
      who: 'Pustules, cysts or flushing skin.',
      question: 'Active spots or flushing skin today?',
      appliesTo: [
        {
          region: ['nose', 'cheek', 'chin', 'forehead', 'upper-lip'],
          work: ['gua-sha', 'circular-friction', 'heat', 'oil'],
        },
        { point: ['LI19', 'LI20', 'GV25'] },
        { muscle: ['nasalis', 'llsan'] },
      ],
      advice: 'Holds beside the sore places, no rubbing, no heat, no heavy oil.',
    },
    'recent-peel-laser': {
      title: 'Recent peel, laser or needling',
      who: 'Within about two weeks, longer when it went deep; strong skin medicine within six months.',
      question: 'A peel, laser, needling or a strong skin medicine lately?',
      appliesTo: [{ work: ['circular-friction', 'gua-sha', 'heat', 'oil', 'microcurrent'] }],
      advice: 'Wait until the skin is calm and the provider agrees; then light holds.',
    },
  }),
];
