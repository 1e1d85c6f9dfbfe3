import { rows } from './define.ts';

/** Rules that hold for every client. */
export const EVERYONE = [
  ...rows('everyone', 'avoid', {
    carotid: {
      title: 'Carotid pulse',
      who: 'Everyone.',
      question: null,
      appliesTo:
        'region:neck-front+technique:microcurrent|gua-sha;region:neck-front+pressure:light|medium|firm|deep;region:neck-side+pressure:firm|deep;point:ST9+technique:press-hold|circular-friction|gua-sha|microcurrent;point:ST9|LI18|SI17|CV22+pressure:medium|firm|deep;muscle:medial-pterygoid|digastric-posterior|platysma|scm-sternal|scm-clavicular|scalenes|infrahyoids+pressure:firm|deep',
      advice: 'No pressure on the pulse; never both sides together.',
    },
    'eye-pressure': {
      title: 'Eyeball',
      who: 'Everyone.',
      question: null,
      appliesTo:
        'region:upper-lid|under-eye+technique:cupping;region:upper-lid+technique:microcurrent;region:upper-lid|under-eye+pressure:medium|firm|deep;point:BL1|ST1+pressure:medium|firm|deep;point:BL2|GB1|EX-HN4+pressure:firm|deep;muscle:orbicularis-oculi-palpebral+pressure:medium|firm|deep;muscle:depressor-supercilii|orbicularis-oculi-orbital+pressure:firm|deep',
      advice: 'Bony rim only, fingertip weight.',
    },
    'throat-airway': {
      title: 'Throat',
      who: 'Everyone; more care with asthma, swallowing trouble or goitre.',
      question: null,
      appliesTo:
        'region:neck-front+pressure:medium|firm|deep;region:under-chin+pressure:firm|deep;point:CV22|CV23+pressure:medium|firm|deep;muscle:digastric-anterior|mylohyoid|platysma|infrahyoids|tongue+pressure:firm|deep',
      advice: 'Stop on cough, gag or voice change.',
    },
  }),
  ...rows('everyone', 'note', {
    'superficial-artery': {
      title: 'Pulse at temple, ear and jaw edge',
      who: 'Everyone.',
      question: null,
      appliesTo:
        'region:temple+pressure:deep;point:GB2|GB3|GB4|GB5|GB6|GB7|GB8|ST5|ST8|SI19|TE20|TE21|TE22|TE23|EX-HN5;muscle:temporalis-anterior|temporalis-middle|temporalis-posterior',
      advice: 'Feel for the pulse first and stay beside it.',
    },
    'on-joint': {
      title: 'Jaw joint',
      who: 'Everyone.',
      question: null,
      appliesTo:
        'region:ear|jaw+tool:gua-sha-tool|vibration-device;region:ear+pressure:firm|deep;point:GB2|ST7|SI19|TE21;muscle:masseter-deep|lateral-pterygoid',
      advice: 'Work in front of and below the joint.',
    },
    pleura: {
      title: 'Top of the lung',
      who: 'Everyone at shoulder crest and collarbone.',
      question: null,
      appliesTo:
        'region:shoulder|chest+pressure:firm|deep;point:GB21|ST12|ST13+pressure:firm|deep;muscle:scalenes|trapezius-upper|levator-scapulae|pectoralis-major+pressure:firm|deep',
      advice: 'Lift the muscle or press along, never straight down.',
    },
    'ear-canal': {
      title: 'Ear canal',
      who: 'Everyone at the ear.',
      question: null,
      appliesTo: 'region:ear',
      advice: 'Nothing into the canal. Discharge, sudden hearing loss or strong ear pain belongs with a doctor.',
    },
    spine: {
      title: 'Bones of the neck',
      who: 'Everyone on the nape.',
      question: null,
      appliesTo: 'region:neck-back+pressure:firm|deep;point:GV15|GV16',
      advice: 'Beside the spine on muscle; in the midline light contact only.',
    },
    'skin-drag': {
      title: 'Dragging of skin',
      who: 'Everyone under moving strokes.',
      question: null,
      appliesTo: 'technique:light-stroke|lymph-stroke|gua-sha;tool:roller',
      advice: 'Enough glide; add more the moment the finger catches.',
    },
    'thin-skin-under-eye': {
      title: 'Thin skin under the eye',
      who: 'Everyone under the eye.',
      question: null,
      appliesTo:
        'region:under-eye+pressure:medium|firm|deep;region:under-eye+technique:circular-friction|gua-sha|pincer;point:ST1;muscle:orbicularis-oculi-palpebral',
      advice: 'Light at most, on the bony rim, no rubbing or rolling.',
    },
    'nerve-exit': {
      title: 'Nerves that come out of the bone',
      who: 'Everyone at brow, below the eye, chin and back of the head.',
      question: null,
      appliesTo:
        'region:brow|cheek|chin+pressure:firm|deep;point:BL2|BL9|ST2|EX-HN4;muscle:occipitalis|corrugator-supercilii|levator-labii-superioris|levator-anguli-oris|depressor-labii-inferioris|semispinalis-capitis',
      advice: 'Short and light; stop on tingling or shooting pain.',
    },
    'facial-nerve-hollow': {
      title: 'Facial nerve behind the lobe',
      who: 'Everyone in the hollow behind the ear lobe.',
      question: null,
      appliesTo: 'region:ear+pressure:firm|deep;point:GB12|TE17|EX-HN14;muscle:digastric-posterior',
      advice: 'Light contact; no deep hooking.',
    },
    intraoral: {
      title: 'Work inside the mouth',
      who: 'Everyone who is to receive it.',
      question: null,
      appliesTo: 'technique:intraoral;muscle:medial-pterygoid|lateral-pterygoid|buccinator+technique:intraoral',
      advice: 'Only where law and training allow; fresh gloves, latex asked, consent each time, a stop sign by hand.',
    },
    'stop-rule': {
      title: 'Pain during work',
      who: 'Everyone.',
      question: null,
      appliesTo: 'technique:any',
      advice: 'Discomfort stays at 5 of 10 or below; stop at sharp or rising pain.',
    },
  }),
];
