import { PRACTICE, rows } from './define.ts';

const TREATED = 'region:forehead|glabella|brow|temple|jaw|neck-front';
const FILLED = 'region:cheek|upper-lip|lips|under-eye|chin|jaw|nose|temple|glabella';
const FACE_MUSCLES =
  'masseter-superficial|buccinator|procerus|orbicularis-oculi-orbital|nasalis|llsan|levator-labii-superioris|levator-anguli-oris|zygomaticus-major|zygomaticus-minor|risorius|orbicularis-oris|depressor-anguli-oris|depressor-labii-inferioris|mentalis';

/** Facts that stay; carried over from visit to visit and asked "still so?". */
export const STANDING_BANS = rows('standing', 'avoid', {
  pregnancy: {
    title: 'Pregnancy',
    who: 'Pregnant, possibly pregnant, or within six weeks of birth.',
    question: 'Pregnant, possibly pregnant, or gave birth in the past six weeks?',
    appliesTo:
      'technique:strong-stimulation|microcurrent|essential-oil;point:LI4|ST12|GB21|LR3;muscle:trapezius-upper+technique:strong-stimulation',
    advice: 'Traditional points stay out, light to medium only. The rule is a custom; evidence of harm is thin.',
    source: `WHO 1999 training guideline; ${PRACTICE}`,
  },
  'implanted-electronics': {
    title: 'Pacemaker or other implant',
    who: 'A pacemaker, defibrillator, cochlear implant, stimulator or pump.',
    question: 'A pacemaker or any implanted device?',
    appliesTo:
      'technique:microcurrent|vibration;tool:microcurrent-device|vibration-device|magnetic-tool;region:chest+pressure:firm|deep;point:GB21|ST12|ST13+pressure:medium|firm|deep;muscle:pectoralis-major+technique:microcurrent|vibration',
    advice: 'No electrical or magnetic tools; no pressure near the device or its lead.',
    source: `device instructions; ${PRACTICE}`,
  },
  thyroid: {
    title: 'Thyroid condition',
    who: 'An overactive or swollen thyroid, nodules, surgery.',
    question: 'A thyroid condition, or a swelling at the front of the neck?',
    appliesTo: 'region:neck-front;point:ST9|LI18|CV22|CV23;muscle:platysma|scm-sternal|infrahyoids+region:neck-front',
    advice: 'Nothing over the front of the neck.',
  },
  'carotid-history': {
    title: 'Stroke or narrowed neck artery',
    who: 'A stroke, mini-stroke, narrowed artery, or fainting on neck pressure.',
    question: 'A stroke, mini-stroke, narrowed neck artery, or fainting when the neck is pressed?',
    appliesTo: 'region:neck-front|neck-side+pressure:light|medium|firm|deep',
    advice: 'Feather strokes only at the sides of the neck.',
    seeWho: 'A doctor before neck work.',
  },
  'eye-disease': {
    title: 'Glaucoma, retina or eye surgery',
    who: 'Glaucoma, retina trouble, very short sight, a recent operation.',
    question: 'Glaucoma, a retina problem or a recent eye operation?',
    appliesTo:
      'region:upper-lid|under-eye;position:face-down|head-low;point:BL1|BL2|ST1|EX-HN4;muscle:orbicularis-oculi-palpebral+region:upper-lid|under-eye',
    advice: 'No work on the rim or the lids without the eye doctor’s agreement; no head-low position.',
    seeWho: 'The eye doctor.',
  },
  botulinum: {
    title: 'Recent botulinum injection',
    who: 'Injected within about two weeks.',
    question: 'Botulinum injections in face or neck in the past two weeks?',
    appliesTo: `${TREATED}+technique:circular-friction|gua-sha|vibration|heat;${TREATED}+pressure:medium|firm|deep;point:BL2|BL3|BL4|GB1|GB14|GB15|ST6|TE23|EX-HN3|EX-HN4;muscle:masseter-superficial|frontalis|procerus|corrugator-supercilii|depressor-supercilii|orbicularis-oculi-orbital|depressor-anguli-oris|mentalis|platysma+pressure:medium|firm|deep`,
    advice: 'No rubbing or pressing over treated areas for the time the injector gives.',
  },
  filler: {
    title: 'Recent filler or threads',
    who: 'Filler within about a month, threads within about two.',
    question: 'Filler in the past month or threads in the past two?',
    appliesTo: `${FILLED}+technique:gua-sha|circular-friction|intraoral|microcurrent|heat;${FILLED}+pressure:medium|firm|deep;point:GB1|ST1|ST2|ST3|ST4|ST5|LI19|LI20|SI18|GV25|GV26|GV27|CV24|EX-HN3|EX-HN5|EX-HN8;muscle:${FACE_MUSCLES}+pressure:medium|firm|deep`,
    advice:
      'Keep off the area until the injector clears it. Blanched skin, growing pain or a change of sight after filler: the injector or a hospital at once.',
    seeWho: 'The injector.',
  },
  'recent-surgery': {
    title: 'Recent face, jaw or dental surgery',
    who: 'Within about three months, or not yet released.',
    question: 'An operation, extraction or implant in the last three months?',
    appliesTo:
      'region:cheek|jaw|chin|upper-lip|lips|nose|upper-lid|under-eye|neck-front|neck-side|neck-back;technique:intraoral',
    advice: 'Release by the surgeon or dentist first.',
    seeWho: 'The surgeon or dentist.',
  },
  'trigeminal-neuralgia': {
    title: 'Electric face pain',
    who: 'Stabs on one side set off by touch, chewing or wind.',
    question: 'Does light touch or chewing set off shock-like pain in the face?',
    appliesTo: 'region:cheek|jaw|upper-lip|chin|nose;point:ST2|ST3|ST7|SI18',
    advice: 'No touch in the trigger zones.',
    seeWho: 'A doctor.',
    source: 'ICHD-3; NICE CKS',
  },
  'fluid-overload': {
    title: 'Heart or kidney failure',
    who: 'Heart or kidney failure, or swelling without a known cause.',
    question: 'Heart or kidney failure, or unexplained swelling?',
    appliesTo: 'technique:lymph-stroke|cupping',
    advice: 'No drainage without the doctor’s agreement.',
    seeWho: 'The treating doctor.',
  },
  epilepsy: {
    title: 'Seizures',
    who: 'Any history of seizures.',
    question: 'Ever had a seizure?',
    appliesTo: 'technique:microcurrent|light-therapy|strong-stimulation|essential-oil;tool:microcurrent-device',
    advice: 'No current, no flashing light; light manual work only.',
  },
});

export const STANDING_CARE = rows('standing', 'adapt', {
  anticoagulant: {
    title: 'Blood thinners or easy bruising',
    who: 'Blood thinners, a bleeding disorder, easy bruising.',
    question: 'Blood thinners, or bruise easily?',
    appliesTo: 'technique:gua-sha|cupping;tool:gua-sha-tool|cup|probe;pressure:firm|deep;point:BL1|ST36',
    advice: 'Light to medium, no scraping, no pinching hard.',
  },
  'neck-strain': {
    title: 'Old neck strain',
    who: 'A strain in the past year that still shows.',
    question: 'A neck strain in the past year that still shows?',
    appliesTo: 'region:neck-back|neck-side|shoulder+pressure:firm|deep;technique:neck-rotation|neck-traction',
    advice: 'Slow, light to medium on the neck; no end range.',
  },
  'jaw-lock': {
    title: 'Jaw that locks or clicks painfully',
    who: 'A jaw stuck, slipped out before, or sharply sore.',
    question: 'Does the jaw lock, slip out or hurt sharply on opening?',
    appliesTo:
      'region:jaw|ear;region:jaw+pressure:firm|deep;technique:jaw-mobilisation|intraoral;point:GB2|GB3|ST6|ST7|SI19|TE21;muscle:masseter-superficial|masseter-deep|medial-pterygoid|lateral-pterygoid',
    advice:
      'Muscles only, inside the comfortable range. Stuck open, or a sudden change of bite: emergency dental care.',
    seeWho: 'A dentist if it sticks.',
    source: `DC/TMD 2014; ${PRACTICE}`,
  },
  dizziness: {
    title: 'Dizziness or fainting',
    who: 'Spinning, light-headed or faint now.',
    question: 'Dizzy, faint or unsteady on moving the head?',
    appliesTo:
      'region:neck-front|neck-side|neck-back;region:neck-back+pressure:firm|deep;technique:neck-rotation|neck-traction;point:BL10|GB20|ST9|LI18|TE16|GV15|GV16|EX-HN-Anmian;muscle:scm-sternal|scm-clavicular|suboccipitals',
    advice: 'Head neutral, slow changes; stop if it grows.',
    seeWho: 'A doctor if it is new.',
    source: 'IFOMPT Cervical Framework 2020',
  },
  hypertension: {
    title: 'High blood pressure',
    who: 'Raised despite treatment, or not treated.',
    question: 'High blood pressure that is not well controlled?',
    appliesTo: 'technique:strong-stimulation;pressure:firm|deep;region:neck-front|neck-side;point:GB20|ST9|GV20',
    advice: 'Head raised, light strokes, slow rise at the end.',
    seeWho: 'A doctor for review.',
    source: 'NICE NG136',
  },
  osteoporosis: {
    title: 'Fragile bones',
    who: 'Thin bones, long steroid use, a break from a small fall.',
    question: 'Told your bones are thin, or a break from a small fall?',
    appliesTo:
      'region:neck-back|shoulder|chest+technique:stretch;region:neck-back|shoulder|chest+pressure:firm|deep;technique:neck-traction;point:GB21',
    advice: 'No leaning weight on neck, shoulder or chest.',
  },
  lymphoedema: {
    title: 'Lymph nodes removed or treated',
    who: 'Node surgery, radiation, or known lymph swelling.',
    question: 'Lymph nodes removed or irradiated, or a swelling arm, neck or face?',
    appliesTo:
      'technique:lymph-stroke;region:neck-front|neck-side|chest|shoulder+technique:gua-sha|cupping;region:neck-front|neck-side|chest|shoulder+pressure:firm|deep;point:ST12|ST13;muscle:pectoralis-major+pressure:medium|firm|deep',
    advice: 'Drainage only by or with a qualified therapist.',
    seeWho: 'A lymphoedema therapist.',
    source: 'ISL consensus 2020',
  },
  'facial-palsy': {
    title: 'Facial weakness in recovery',
    who: 'A weak or drooping side that is known and treated.',
    question: 'Recovering from a weak or drooping side of the face?',
    appliesTo:
      'region:cheek|upper-lip|forehead|ear;region:cheek|upper-lip|forehead+pressure:medium|firm|deep;technique:strong-stimulation|microcurrent;point:GB2|ST4|SI18|TE17;muscle:buccinator|zygomaticus-major|risorius',
    advice: 'Light work with the treating clinician.',
    seeWho: 'The treating clinician.',
    source: 'NICE CKS Bell’s palsy',
  },
  'oil-allergy': {
    title: 'Reaction to oils or creams',
    who: 'A known reaction, eczema, scent asthma, nut allergy.',
    question: 'Any reaction to oils, creams, scents, nuts or latex?',
    appliesTo: 'technique:oil|essential-oil',
    advice: 'Check ingredients; patch test first. Swelling lips or trouble breathing: emergency help.',
    source: `Tisserand and Young 2014; ${PRACTICE}`,
  },
  'essential-oil': {
    title: 'Strong scents',
    who: 'Trouble with scents, asthma or seizures.',
    question: 'Do strong scents trouble you, or is there asthma?',
    appliesTo: 'technique:essential-oil',
    advice: 'None near eyes or nose; on the face 0.5 to 1 % at most. The cautious choice is none.',
    source: 'Tisserand and Young 2014, from memory',
  },
  children: {
    title: 'Under 18',
    who: 'Anyone under 18.',
    question: 'Is the client under 18?',
    appliesTo:
      'technique:any;point:BL7|GV20|GV23|GV24|EX-HN1.front|EX-HN1.back|EX-HN1.side;muscle:epicranial-aponeurosis',
    advice:
      'Only with a parent or guardian present and agreeing; short, feather to light, no pressure on an infant’s crown.',
  },
  numbness: {
    title: 'Less feeling somewhere',
    who: 'Reduced feeling, nerve trouble from diabetes, tingling hands.',
    question: 'Any area where you feel less, or tingling that comes and goes?',
    appliesTo:
      'technique:heat|cold|microcurrent;region:hand|arm+pressure:firm|deep;point:LI4|PC6|PC8|HT7|LU7|SI3|EX-UE9.1|EX-UE9.2|EX-UE9.3|EX-UE9.4|LR3|ST36;muscle:scalenes',
    advice: 'Light there; no heat, cold or current.',
    seeWho: 'A doctor if it is new.',
  },
  'cancer-treatment': {
    title: 'Cancer, now or in recent years',
    who: 'A diagnosis or treatment now or in recent years.',
    question: 'Cancer, or treatment for it, now or in the past few years?',
    appliesTo: 'technique:lymph-stroke|microcurrent|heat;pressure:firm|deep',
    advice: 'With the team’s agreement; light, away from treated areas.',
    seeWho: 'The treating team.',
  },
  'metal-allergy': {
    title: 'Metal allergy',
    who: 'Skin that reacts to nickel or other metals.',
    question: 'Does jewellery or metal make your skin react?',
    appliesTo: 'tool:gua-sha-tool|roller|microcurrent-device|metal-tool',
    advice: 'Stone, glass or hands.',
  },
  'metal-implants': {
    title: 'Plates, screws, braces or dental implants',
    who: 'Metal in head, jaw or neck.',
    question: 'Metal plates, dental implants, braces or piercings in head or neck?',
    appliesTo: 'technique:microcurrent|heat|vibration;tool:microcurrent-device|vibration-device',
    advice: 'No current over metal; no firm pressure over plates; piercings out.',
    source: `device instructions; ${PRACTICE}`,
  },
  'emotional-release': {
    title: 'Being touched on face or neck',
    who: 'Everyone; more care after bad experiences, with panic or loss.',
    question: 'Is there anything about being touched on face, jaw or neck we should know?',
    appliesTo: 'technique:any',
    advice: 'Agree a stop word, say what comes next, pause when feelings rise, offer to end.',
  },
});

export const STANDING_NOTES = rows('standing', 'note', {
  'medication-overuse': {
    title: 'Headache with frequent painkillers',
    who: 'Headache on 15 or more days a month with painkillers on 10 or 15 of them.',
    question: 'Headache on 15 or more days a month, and painkillers on 10 or more of them?',
    appliesTo: 'technique:any',
    advice: 'Work may go on gently. Suggest a talk with doctor or pharmacist; never advise stopping a medicine.',
    seeWho: 'A doctor or pharmacist.',
    source: 'ICHD-3 (8.2)',
  },
});
