import { NECK_POINTS, rows } from './define.ts';

/** Signs that belong with a doctor before any work. */
export const RED_FLAGS = rows('red-flag', 'refer-out', {
  thunderclap: { title: 'Sudden severe headache', who: 'A headache at its peak within minutes, or the worst ever.', question: 'Did the headache come on within seconds or minutes, or is it the worst ever?', appliesTo: 'technique:any', advice: 'Do not start.', seeWho: 'Emergency services now.', source: 'NICE CG150; SNNOOP10 list' },
  'neuro-deficit': { title: 'Weakness, numb side, speech or balance trouble', who: 'Anyone with a new sign of this kind.', question: 'Any new weakness, numb side, drooping face, trouble speaking, walking or seeing?', appliesTo: 'technique:any', advice: 'Do not start; note the time it began.', seeWho: 'Emergency services now.', source: 'FAST test; SNNOOP10 list' },
  meningism: { title: 'Headache with fever or stiff neck', who: 'Headache with fever, stiff neck, a rash that stays, or drowsiness.', question: 'Is there fever, a stiff neck or a rash together with headache?', appliesTo: 'technique:any', advice: 'Do not start.', seeWho: 'Emergency medical help now.', source: 'NICE NG240; NICE CG150' },
  'vision-loss': { title: 'Sudden change of sight', who: 'Sight that dimmed, doubled or lost a part.', question: 'Has sight suddenly dimmed, doubled or lost a part?', appliesTo: 'technique:any', advice: 'Do not start.', seeWho: 'Emergency eye or medical care now.' },
  'cervical-artery': {
    title: 'New unusual neck pain with warning signs', who: 'One-sided neck pain or headache unlike any before.', question: 'Any new neck pain or headache unlike any before, with dizziness, double vision or trouble swallowing?',
    appliesTo: `technique:any;point:${NECK_POINTS};muscle:scm-sternal|scm-clavicular|splenius-capitis|suboccipitals`, advice: 'Do not work on or move the neck.', seeWho: 'Emergency medical help now.', source: 'IFOMPT Cervical Framework 2020',
  },
  'head-injury': { title: 'Recent head injury', who: 'A blow to the head in recent weeks.', question: 'A blow to the head in the past few weeks?', appliesTo: 'technique:any', advice: 'No work until it has been looked at.', seeWho: 'A doctor today; emergency care with vomiting or drowsiness.', source: 'NICE NG232' },
  'jaw-trauma': { title: 'Recent blow to face or jaw', who: 'A blow, a fall or a suspected break.', question: 'A blow to the face or jaw lately?', appliesTo: 'region:jaw|cheek|nose|chin;point:ST7;muscle:masseter-deep|lateral-pterygoid', advice: 'No work until it has been examined.', seeWho: 'A doctor or dentist today; emergency care when the bite changed or lip or cheek is numb.', source: 'NICE NG232' },
  'temporal-arteritis': {
    title: 'Over 50 with sore temple or tiring jaw', who: 'From 50 on, with a new headache or a jaw that tires.', question: 'If over 50: a new headache, sore temple or scalp, or a jaw that tires on chewing?',
    appliesTo: 'region:temple|scalp;point:GB3|GB4|GB5|GB6|GB7|GB8|ST8|TE20|TE21|TE22|TE23|EX-HN5;muscle:temporalis-anterior|temporalis-middle|temporalis-posterior',
    advice: 'No temple work; sight may be at risk.', seeWho: 'A doctor the same day; emergency care if sight changes.', source: 'BSR guideline 2020; EULAR 2018',
  },
  'headache-pattern-change': { title: 'Headache that is new or has changed', who: 'New after 50, steadily worse, waking from sleep, worse on lying or coughing.', question: 'Is the headache new or clearly different from the usual one?', appliesTo: 'technique:any', advice: 'No routine for headache until it has been reviewed.', seeWho: 'A doctor soon.', source: 'SNNOOP10 list; NICE CG150; ICHD-3' },
  'hypertension-severe': { title: 'Very high blood pressure', who: 'A reading of about 180 over 120 or more.', question: 'Any recent reading of 180 over 120 or more?', appliesTo: 'technique:any', advice: 'Do not start.', seeWho: 'A doctor the same day; emergency care with new symptoms.', source: 'NICE NG136' },
  'unexplained-lump': {
    title: 'Lump or sore that stays', who: 'A lump in neck, face or gland, or a sore beyond two weeks.', question: 'A lump, swollen gland or sore that is not going away?',
    appliesTo: 'region:neck-front|neck-side|under-chin|jaw|ear;technique:lymph-stroke;point:ST12|SI17|TE17|CV23;muscle:digastric-anterior|mylohyoid', advice: 'Keep off it.', seeWho: 'A doctor soon.', source: 'NICE NG12',
  },
  'dental-abscess': { title: 'Throbbing tooth or swollen cheek', who: 'A throbbing tooth, swollen gum or cheek.', question: 'A throbbing tooth, swollen gum or swollen cheek?', appliesTo: 'region:jaw|cheek|chin|upper-lip|lips;technique:intraoral;point:ST5|ST6|CV24;muscle:masseter-superficial', advice: 'No work over the swelling.', seeWho: 'A dentist the same day; emergency care with trouble swallowing or breathing.', source: 'NICE CKS dental abscess' },
  'sinus-fever': { title: 'Face pain with fever or swollen eye', who: 'Face pain with fever, or swelling round an eye.', question: 'Face pain with fever, or swelling round an eye?', appliesTo: 'region:cheek|nose|forehead|under-eye;point:ST2|ST3|LI20|EX-HN8', advice: 'No pressure on sore sinuses.', seeWho: 'A doctor today.', source: 'NICE NG79' },
  'leg-clot': { title: 'Swollen, hot or painful calf', who: 'One leg newly swollen, hot or painful.', question: 'Is one calf newly swollen, hot or painful?', appliesTo: 'technique:any;point:LR3|ST36', advice: 'Do not touch the leg.', seeWho: 'A doctor the same day; emergency care with breathlessness.', source: 'NICE NG158' },
});
