import { addClient, addStep, expect, openPractice, saved, test, toCompose } from './base.ts';

// What a screen reader has to go by: names, states and their order, without the look.
test('Compose and a run say everything to a screen reader: the step with its side, pressure and dose, and what can be done', async ({
  page,
}) => {
  await openPractice(page);
  await addClient(page);
  await toCompose(page);
  await addStep(page, 'warm palms jaw 40s');
  await addStep(page, 'temple circles 10x');
  await saved(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('main')).toMatchAriaSnapshot(`
    - main:
      - group:
        - heading "Compose" [level=1]
        - textbox "Name of the routine": Jaw, left
        - status: Saved
        - text: /\\d+:\\d\\d of/
        - textbox "Minutes available": "20"
        - text: /min \\d+:\\d\\d free/
        - combobox "Add a step"
        - 'button "Order: Neck first"'
        - button "Propose"
        - button "Guide"
        - text: Warm up
        - button "Move Warm palms on the chewing muscles": "1"
        - button "1 Warm palms on the chewing muscles"
        - img "hold"
        - combobox "Pressure of Warm palms on the chewing muscles":
          - option "feather"
          - option "light" [selected]
          - option "medium"
          - option "firm"
          - option "deep"
        - 'button "Dose of Warm palms on the chewing muscles: 40 s"'
        - combobox "Sides of Warm palms on the chewing muscles":
          - option "both" [selected]
          - option "midline"
          - option "each side"
          - option "left"
          - option "right"
        - text: /0:44 Release/
        - button "Move Two-finger circles at the temples": "2"
        - button /2 Two-finger circles at the temples/
  `);
  await expect(page.getByRole('group', { name: /^Ribbon: \d+:\d\d of 20:00$/ })).toMatchAriaSnapshot(`
    - group:
      - button "Warm palms on the chewing muscles, both sides, light, 0:04 to 0:44"
      - button /Two-finger circles at the temples, both sides, light, 0:48 to/
  `);
  await page.getByRole('button', { name: 'Guide', exact: true }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByText('hold, seconds left')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('paused')).toBeVisible();
  await expect(page.locator('.guide')).toMatchAriaSnapshot(`
    - strong: Jun Castellan
    - text: Warm up, step 1 of 2
    - strong: /paused/
    - strong: /\\d+:\\d\\d/
    - text: /left, ends about \\d\\d:\\d\\d/
    - button "To the plan"
    - button "Help"
    - region "Face chart"
    - main:
      - heading "Warm palms on the chewing muscles" [level=1]
      - strong: Both sides
      - text: light, resting, no stroke
      - paragraph: Masseter, palm
      - text: /\\d+/
      - strong: hold, seconds left
      - text: mouth open 10 mm “Mouth a little open, let the warmth sink in.”
      - paragraph: /Lay hot palms on both chewing muscles/
      - paragraph:
        - strong: Feel
        - text: Muscle grows softer under the palm
        - strong: Not
        - text: Pressing instead of resting; palms too hot
      - paragraph: /Next Two-finger circles at the temples/
    - group /Ribbon/
    - group "Run":
      - button "back"
      - button "go on"
      - button "next"
      - button "lighter"
      - button "firmer"
      - button "+10 seconds"
      - button "note"
      - button "stop"
  `);
});
