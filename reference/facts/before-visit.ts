/**
 * The questions of screening as somebody reads them alone before a first visit: whole sentences, plain words, one
 * thing to look for at a time. What concerns the state of the day is not asked ahead. Wording is our own.
 */
export const PLAIN_QUESTIONS: Readonly<Record<string, string>> = {
  // Signs that belong to a doctor first.
  thunderclap: 'Have you had a headache that came within seconds or minutes, or the worst headache of your life?',
  'neuro-deficit':
    'Is anything new: an arm or leg that is weak, a numb side, a drooping face, trouble with speaking, walking or seeing?',
  meningism: 'Do you have a headache together with fever, a stiff neck, or a rash?',
  'vision-loss': 'Did your sight suddenly get dim or double, or did part of it go?',
  'cervical-artery':
    'Do you have a new pain in the neck or head, unlike any before, with dizziness, double sight or trouble swallowing?',
  'head-injury': 'Did you hit your head in the past few weeks?',
  'jaw-trauma': 'Did your face or jaw take a blow lately?',
  'temporal-arteritis':
    'If you are over 50: do you have a new headache, a sore temple or scalp, or a jaw that tires while you chew?',
  'headache-pattern-change': 'Is your headache new, or clearly different from the one you know?',
  'hypertension-severe': 'Was your blood pressure measured at 180 over 120 or more lately?',
  'unexplained-lump': 'Do you have a lump, a swollen gland or a sore that does not go away?',
  'dental-abscess': 'Does a tooth throb, or is your gum or cheek swollen?',
  'sinus-fever': 'Do you have pain in the face with fever, or swelling around an eye?',
  'leg-clot': 'Is one of your calves newly swollen, hot or painful?',
  'cardiac-warning':
    'Do you have pain or pressure in the chest, short breath or sweating, or pain in jaw, neck or arm when you exert yourself?',
  'airway-warning':
    'Do you have trouble breathing or swallowing, or did your lips, tongue, mouth or neck swell suddenly?',
  'pregnancy-warning':
    'Do you have a severe headache, disturbed sight, pain below the ribs, or did face or hands swell suddenly?',
  'filler-warning':
    'Since the filler, is the skin white or mottled, does the pain grow, or has your sight changed at all?',
  // What stands.
  pregnancy: 'Are you pregnant, could you be, or did you give birth in the past six weeks?',
  'implanted-electronics':
    'Is there a device in your body: a pacemaker, a hearing implant, a pump, a nerve stimulator?',
  'hearing-implant': 'Is it a hearing implant under the skin of the head?',
  'implant-recent': 'Was it put in within the past six weeks?',
  thyroid: 'Do you have trouble with your thyroid, or a swelling at the front of your neck?',
  'carotid-history':
    'Have you had a stroke or a short one, a narrow or torn artery in the neck, a bulge of an artery, or do you faint when your neck is pressed?',
  'fluid-overload': 'Are your heart or kidneys weak, or do you swell without knowing why?',
  epilepsy: 'Have you ever had a seizure?',
  'shunt-or-line': 'Is there a tube, a port or a line under the skin of your head, neck or chest?',
  'chest-port': 'Does it lie under the skin of the chest or the shoulder?',
  'neck-hypermobile':
    'Are your joints very bendy, or do you have a condition that loosens them, for example Down syndrome, rheumatoid arthritis or a weak connective tissue?',
  'cancer-treatment': 'Do you have cancer, or were you treated for it in the past few years?',
  anticoagulant: 'Do you take medicine that thins the blood, or do you bruise easily?',
  'neck-strain': 'Did you strain your neck in the past year, and do you still feel it?',
  dizziness: 'Do you get dizzy, faint or unsteady when you move your head?',
  hypertension: 'Is your blood pressure high and not well under control?',
  osteoporosis: 'Were you told that your bones are thin, or did you break one in a small fall?',
  lymphoedema: 'Were lymph nodes taken out or irradiated, or does an arm, your neck or your face swell?',
  children: 'Are you under 18?',
  infant: 'Is the visit for a child under two?',
  numbness: 'Is there any place where you feel less, or where it tingles from time to time?',
  'eye-disease': 'Do you have glaucoma or trouble with the retina, or was an eye operated on lately?',
  botulinum: 'Were you injected in face or neck against wrinkles or tense muscles (botulinum) in the past two weeks?',
  'botulinum-today': 'Was that within the last 24 hours?',
  filler: 'Did you have filler in the past month, or threads in the past two?',
  threads: 'Was it threads?',
  'recent-surgery': 'Did you have an operation, a tooth pulled or an implant in the last three months?',
  'trigeminal-neuralgia': 'Does a light touch, or chewing, set off pain in your face like an electric shock?',
  'nerve-pain-brow':
    'Does a light touch, combing or wind set off shocks or burning at brow, forehead, scalp or back of the head?',
  'jaw-lock': 'Does your jaw lock, slip out, or hurt sharply when you open it?',
  'facial-palsy': 'Are you recovering from a weak or drooping side of the face?',
  'oil-allergy': 'Does your skin or breath react to oils, creams, scents, nuts or latex?',
  'essential-oil': 'Do strong scents trouble you, or do you have asthma?',
  'metal-allergy': 'Does your skin react to jewellery or other metal?',
  'metal-implants': 'Do you have metal in head or neck: plates, dental implants, braces, piercings?',
  'emotional-release':
    'Is there anything about being touched on face, jaw or neck that we should know? You can tell it in person; a yes is enough here.',
  'medication-overuse':
    'Do you have a headache on 15 or more days a month, and take painkillers on 10 or more of them?',
};
