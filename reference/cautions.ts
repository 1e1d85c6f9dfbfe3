import type { Caution } from '../core/screening/screen.ts';

/**
 * Screening rules. Sources stand beside each row; "common practice" has no published source. Intervals and lists are
 * from memory, to be verified. Wellness work, not medicine: nothing here diagnoses, local codes and licensed
 * practice come first.
 */
const PRACTICE = 'common practice, no source';
type Row = [key: string, title: string, question: string | null, appliesTo: string, advice: string, seeWho: string, source: string];

const rows = (group: Caution['group'], severity: Caution['severity'], list: Row[]): Caution[] =>
  list.map(([key, title, question, appliesTo, advice, seeWho, source]) => ({ key, title, group, severity, question, appliesTo, advice, seeWho, source }));

const FACE_TREATED = 'region:forehead|glabella|brow|temple|jaw|neck-front';
const FILLED = 'region:cheek|upper-lip|under-eye|chin|jaw|nose|temple|glabella';

export const CAUTIONS: readonly Caution[] = [
  ...rows('red-flag', 'refer-out', [
    ['thunderclap', 'Sudden severe headache', 'Did the headache come on within seconds or minutes, or is it the worst ever?', 'technique:any', 'Do not start.', 'Emergency services now.', 'NICE CG150; SNNOOP10 list'],
    ['neuro-deficit', 'Weakness, numb side, speech or balance trouble', 'Any new weakness, numb side, drooping face, trouble speaking, walking or seeing?', 'technique:any', 'Do not start; note the time it began.', 'Emergency services now.', 'FAST test; SNNOOP10 list'],
    ['meningism', 'Headache with fever or stiff neck', 'Is there fever, a stiff neck or a rash together with headache?', 'technique:any', 'Do not start.', 'Emergency medical help now.', 'NICE CG150'],
    ['vision-loss', 'Sudden change of sight', 'Has sight suddenly dimmed, doubled or lost a part?', 'technique:any', 'Do not start.', 'Emergency eye or medical care now.', PRACTICE],
    ['cervical-artery', 'New unusual neck pain with warning signs', 'Any new neck pain or headache unlike any before, with dizziness, double vision or trouble swallowing?', 'technique:any', 'Do not work on or move the neck.', 'Emergency medical help now.', 'IFOMPT Cervical Framework 2020'],
    ['head-injury', 'Recent head injury', 'A blow to the head in the past few weeks?', 'technique:any', 'No work until it has been looked at.', 'A doctor today; emergency care with vomiting or drowsiness.', 'NICE NG232'],
    ['jaw-trauma', 'Recent blow to face or jaw', 'A blow to the face or jaw lately?', 'region:jaw|cheek|nose|chin', 'No work until it has been examined.', 'A doctor or dentist today.', 'NICE NG232'],
    ['temporal-arteritis', 'Over 50 with sore temple or tiring jaw', 'If over 50: a new headache, sore temple or scalp, or a jaw that tires on chewing?', 'region:temple|scalp', 'No temple work; sight may be at risk.', 'A doctor the same day; emergency care if sight changes.', 'BSR guideline 2020'],
    ['headache-change', 'Headache that is new or has changed', 'Is the headache new or clearly different from the usual one?', 'technique:any', 'No routine for headache until it has been reviewed.', 'A doctor soon.', 'SNNOOP10 list; NICE CG150'],
    ['hypertension-severe', 'Very high blood pressure', 'Any recent reading of 180 over 120 or more?', 'technique:any', 'Do not start.', 'A doctor the same day; emergency care with new symptoms.', 'NICE NG136'],
    ['unexplained-lump', 'Lump or sore that stays', 'A lump, swollen gland or sore that is not going away?', 'region:neck-front|neck-side|under-chin|jaw|ear', 'Keep off it.', 'A doctor soon.', 'NICE NG12'],
    ['dental-abscess', 'Throbbing tooth or swollen cheek', 'A throbbing tooth, swollen gum or swollen cheek?', 'region:jaw|cheek|chin|upper-lip', 'No work over the swelling.', 'A dentist the same day.', PRACTICE],
    ['sinus-fever', 'Face pain with fever or swollen eye', 'Face pain with fever, or swelling round an eye?', 'region:cheek|nose|forehead|under-eye', 'No pressure on sore sinuses.', 'A doctor today.', 'NICE NG79'],
    ['leg-clot', 'Swollen, hot or painful calf', 'Is one calf newly swollen, hot or painful?', 'technique:any', 'Do not touch the leg.', 'A doctor the same day; emergency care with breathlessness.', 'NICE NG158'],
  ]),
  ...rows('today', 'avoid', [
    ['fever', 'Fever or feeling ill', 'A temperature or feeling unwell today?', 'technique:any', 'Postpone until recovered.', 'A doctor if it does not settle.', PRACTICE],
    ['skin-broken', 'Sore or infected skin', 'Any open, infected or sore skin on face, head or neck today?', 'technique:any', 'Postpone; spreading redness belongs with a doctor.', 'A doctor if it spreads.', PRACTICE],
    ['sunburn', 'Sunburn', 'Is the skin burnt or peeling from sun?', 'technique:any', 'Postpone.', '', PRACTICE],
    ['shingles', 'One-sided painful rash', 'A one-sided painful rash or blisters?', 'technique:any', 'Postpone until it has healed.', 'A doctor; the same day near the eye.', PRACTICE],
    ['cold-sore', 'Cold sore', 'A cold sore, or the tingling before one?', 'region:upper-lip|lips|chin;technique:intraoral', 'Keep away from the mouth.', '', PRACTICE],
    ['neck-injury', 'Neck injury', 'Hurt your neck recently, neck surgery, or told it is unstable?', 'region:neck-back|neck-side|shoulder+pressure:medium|firm|deep;technique:neck-rotation|neck-traction', 'Skin strokes only on the neck until it has been cleared; head neutral.', 'A doctor before any neck work.', 'IFOMPT Cervical Framework 2020'],
  ]),
  ...rows('standing', 'avoid', [
    ['pregnancy', 'Pregnancy', 'Pregnant, possibly pregnant, or gave birth in the past six weeks?', 'technique:strong-stimulation|microcurrent|essential-oil;point:LI4|ST12|GB21|LR3', 'Traditional points stay out, light to medium only. The rule is a custom; evidence of harm is thin.', '', 'WHO 1999 training guideline; common practice'],
    ['implanted-electronics', 'Pacemaker or other implant', 'A pacemaker or any implanted device?', 'technique:microcurrent|vibration;tool:microcurrent-device|vibration-device|magnetic-tool;region:chest+pressure:firm|deep', 'No electrical or magnetic tools.', '', 'device instructions; common practice'],
    ['thyroid', 'Thyroid condition', 'A thyroid condition, or a swelling at the front of the neck?', 'region:neck-front', 'Nothing over the front of the neck.', '', PRACTICE],
    ['carotid-history', 'Stroke or narrowed neck artery', 'A stroke, mini-stroke, narrowed neck artery, or fainting when the neck is pressed?', 'region:neck-front|neck-side+pressure:light|medium|firm|deep', 'Feather strokes only at the sides of the neck.', 'A doctor before neck work.', PRACTICE],
    ['eye-disease', 'Glaucoma, retina or eye surgery', 'Glaucoma, a retina problem or a recent eye operation?', 'region:upper-lid|under-eye;point:BL1|BL2', 'No work on the rim or the lids without the eye doctor’s agreement.', 'The eye doctor.', PRACTICE],
    ['botulinum', 'Recent botulinum injection', 'Botulinum injections in face or neck in the past two weeks?', `${FACE_TREATED}+technique:circular-friction|heat|vibration;${FACE_TREATED}+pressure:medium|firm|deep`, 'No rubbing or pressing over treated areas for the time the injector gives.', '', PRACTICE],
    ['filler', 'Recent filler or threads', 'Filler in the past month or threads in the past two?', `${FILLED}+technique:circular-friction|heat|microcurrent;${FILLED}+pressure:medium|firm|deep`, 'Keep off the area until the injector clears it.', 'The injector.', PRACTICE],
    ['recent-surgery', 'Recent face, jaw or dental surgery', 'An operation, extraction or implant in the last three months?', 'region:cheek|jaw|chin|upper-lip|nose|upper-lid|under-eye|neck-front|neck-side|neck-back', 'Release by the surgeon or dentist first.', 'The surgeon or dentist.', PRACTICE],
    ['trigeminal', 'Electric face pain', 'Does light touch or chewing set off shock-like pain in the face?', 'region:cheek|jaw|upper-lip|chin|nose', 'No touch in the trigger zones.', 'A doctor.', 'ICHD-3'],
    ['fluid-overload', 'Heart or kidney failure', 'Heart or kidney failure, or unexplained swelling?', 'technique:lymph-stroke', 'No drainage without the doctor’s agreement.', 'The treating doctor.', PRACTICE],
    ['epilepsy', 'Seizures', 'Ever had a seizure?', 'technique:microcurrent|essential-oil|strong-stimulation;tool:microcurrent-device', 'No current; light manual work only.', '', PRACTICE],
  ]),
  ...rows('standing', 'adapt', [
    ['anticoagulant', 'Blood thinners or easy bruising', 'Blood thinners, or bruise easily?', 'pressure:firm|deep;technique:gua-sha|cupping;tool:probe', 'Light to medium, no scraping, no pinching hard.', '', PRACTICE],
    ['neck-strain', 'Old neck strain', 'A neck strain in the past year that still shows?', 'region:neck-back|neck-side|shoulder+pressure:firm|deep;technique:neck-rotation|neck-traction', 'Slow, light to medium on the neck; no end range.', '', PRACTICE],
    ['jaw-lock', 'Jaw that locks or clicks painfully', 'Does the jaw lock, slip out or hurt sharply on opening?', 'region:jaw+pressure:firm|deep;technique:jaw-mobilisation|intraoral', 'Muscles only, inside the comfortable range.', 'A dentist if it sticks.', 'DC/TMD 2014; common practice'],
    ['dizziness', 'Dizziness or fainting', 'Dizzy, faint or unsteady on moving the head?', 'technique:neck-rotation|neck-traction;region:neck-back+pressure:firm|deep', 'Head neutral, slow changes; stop if it grows.', 'A doctor if it is new.', 'IFOMPT Cervical Framework 2020'],
    ['hypertension', 'High blood pressure', 'High blood pressure that is not well controlled?', 'pressure:firm|deep', 'Head raised, light strokes, slow rise at the end.', 'A doctor for review.', 'NICE NG136'],
    ['osteoporosis', 'Fragile bones', 'Told your bones are thin?', 'region:neck-back|shoulder|chest+pressure:firm|deep;technique:neck-traction', 'No leaning weight on neck, shoulder or chest.', '', PRACTICE],
    ['lymphoedema', 'Lymph nodes removed or treated', 'Lymph nodes removed or irradiated, or a swelling arm, neck or face?', 'technique:lymph-stroke', 'Drainage only by or with a qualified therapist.', 'A lymphoedema therapist.', 'ISL consensus 2020'],
    ['facial-palsy', 'Facial weakness in recovery', 'Recovering from a weak or drooping side of the face?', 'region:cheek|upper-lip|forehead+pressure:medium|firm|deep;technique:microcurrent', 'Light work with the treating clinician.', 'The treating clinician.', PRACTICE],
    ['oil-allergy', 'Reaction to oils or creams', 'Any reaction to oils, creams, scents, nuts or latex?', 'technique:oil|essential-oil', 'Check ingredients; patch test first.', '', PRACTICE],
    ['contact-lens', 'Contact lenses in', 'Wearing contact lenses today?', 'region:upper-lid|under-eye', 'Lenses out before work near the eyes.', '', PRACTICE],
  ]),
  ...rows('everyone', 'avoid', [
    ['carotid', 'Carotid pulse', null, 'region:neck-front+pressure:light|medium|firm|deep;region:neck-side+pressure:firm|deep', 'No pressure on the pulse; never both sides together.', '', PRACTICE],
    ['eye-pressure', 'Eyeball', null, 'region:upper-lid|under-eye+pressure:medium|firm|deep;point:BL1+pressure:medium|firm|deep;point:BL2|GB1|EX-HN4+pressure:firm|deep', 'Bony rim only, fingertip weight.', '', PRACTICE],
    ['throat', 'Throat', null, 'region:under-chin+pressure:firm|deep', 'Stop on cough, gag or voice change.', '', PRACTICE],
  ]),
  ...rows('everyone', 'note', [
    ['superficial-artery', 'Pulse at temple and ear', null, 'region:temple+pressure:deep', 'Feel for the pulse first and stay beside it.', '', PRACTICE],
    ['on-joint', 'Jaw joint', null, 'region:ear+pressure:firm|deep', 'Work in front of and below the joint.', '', PRACTICE],
    ['stop-rule', 'Pain during work', null, 'technique:any', 'Discomfort stays at 5 of 10 or below; stop at sharp or rising pain.', '', PRACTICE],
  ]),
];
