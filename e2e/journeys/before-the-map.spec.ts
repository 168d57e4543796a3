import { expect, test } from '../served.js';
import { Bench } from '../at-the-bench.js';

/** A PDF of two pages, each with one line of text, as a maker's site gives it. */
function aPdf(lines: readonly string[]): Buffer {
  const objects = [
    '<</Type/Catalog/Pages 2 0 R>>',
    `<</Type/Pages/Count ${lines.length}/Kids[${lines.map((_, at) => `${4 + at * 2} 0 R`).join(' ')}]>>`,
    '<</Type/Font/Subtype/Type1/BaseFont/Helvetica>>',
    ...lines.flatMap((line, at) => {
      const stream = `BT /F1 24 Tf 40 100 Td (${line}) Tj ET`;
      return [
        `<</Type/Page/Parent 2 0 R/MediaBox[0 0 400 200]/Contents ${5 + at * 2} 0 R/Resources<</Font<</F1 3 0 R>>>>>>`,
        `<</Length ${stream.length}>>stream\n${stream}\nendstream`,
      ];
    }),
  ];
  let text = '%PDF-1.4\n';
  const places = objects.map((object, at) => {
    const place = text.length;
    text += `${at + 1} 0 obj\n${object}\nendobj\n`;
    return place;
  });
  const table = text.length;
  text += `xref\n0 ${objects.length + 1}\n0000000000 65535 f \n`;
  text += places.map((place) => `${String(place).padStart(10, '0')} 00000 n \n`).join('');
  return Buffer.from(
    `${text}trailer\n<</Size ${objects.length + 1}/Root 1 0 R>>\nstartxref\n${table}\n%%EOF`,
  );
}

test('out of the machine with two bare ends; what the hand moves by its picture, and every word follows', async ({
  page,
}) => {
  const bench = new Bench(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'Map a switch' }).click();
  await page.getByLabel('How many terminals?').fill('2');
  await page.getByLabel('How many positions?').fill('2');
  await page.getByRole('button', { name: 'It is out of the machine: start' }).click();
  await expect(bench.prompt).toHaveText('Hold the leads together');
  const ends = page.getByRole('region', { name: 'What stays behind' });
  await expect(ends).toHaveCount(0);
  await page.getByRole('button', { name: 'What is it?' }).click();
  await page.getByRole('button', { name: 'Trigger', exact: true }).click();
  await page.keyboard.press('Escape');
  await bench.answer('Enter');
  await bench.answer('Space');
  await expect(page.getByTestId('turn')).toHaveText('Squeeze the trigger to Position 2');
  await bench.go('Make safe');
  await ends.getByRole('button', { name: 'All capped or tagged' }).click();
  await expect(page.getByText('All capped or tagged.')).toBeVisible();
});

test('a diagram from a page of a PDF is pinned beside the Map and Verify, a part number is read with a doubt', async ({
  page,
}) => {
  const bench = new Bench(page);
  await bench.startReal(3, '1');
  await bench.go('Intake');
  await page.getByLabel('The complaint, in the owner’s words').fill('It stays on, and sometimes it jams.');
  const kind = page.getByRole('region', { name: 'Kind of complaint' });
  await expect(kind.getByRole('button', { name: /^Never off\s*as it was told\?/ })).toBeVisible();
  await kind.getByRole('button', { name: /^Never off/ }).click();
  await expect(kind).toContainText('a welded contact does not');

  const diagram = page.getByRole('region', { name: 'Diagram' });
  const file = diagram.getByLabel('Photo or PDF of the diagram');
  await file.setInputFiles({ name: 'notes.pdf', mimeType: 'application/pdf', buffer: Buffer.from('no pdf') });
  await expect(diagram.getByRole('alert')).toContainText('notes.pdf cannot be read as a PDF');
  const pdf = aPdf(['Cover', 'OFF 1-2 ON 1-3']);
  await file.setInputFiles({ name: 'maker.pdf', mimeType: 'application/pdf', buffer: pdf });
  await diagram.getByLabel('Page, of 2').fill('3');
  await expect(diagram.getByText('A page from 1 to 2.')).toBeVisible();
  await diagram.getByLabel('Page, of 2').fill('2');
  await diagram.getByRole('button', { name: 'Take this page' }).click();
  await expect(bench.save).toHaveText('Saved');

  await bench.part('Markings');
  await page.getByRole('button', { name: 'Read a marking' }).click();
  await page.getByLabel('Marking as read').fill('KX-2041B 120/277V');
  await page.keyboard.press('Enter');
  const said = page.getByLabel('What it says');
  await expect(said).toContainText('no rating; perhaps a part number');
  await expect(said).toContainText('rated for 120 V and 277 V');
  await page.getByRole('button', { name: '4: certain' }).click();
  await expect(said).toContainText('rests on a guess');
  await bench.pick('This marking is', 'Its number');
  await expect(page.getByRole('textbox', { name: 'Its number' })).toHaveValue('KX-2041B 120/277V');

  await bench.go('Map');
  await page.getByRole('tab', { name: 'Diagram' }).click();
  const picture = page.getByRole('img', { name: 'The maker’s diagram' });
  await expect(picture).toBeVisible();
  expect(await picture.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(2400);
  await bench.go('Verify');
  await expect(page.getByRole('group', { name: 'To be shown' })).toContainText('opens at OFF');
  await page.getByRole('group', { name: 'Diagram' }).getByText('see').click();
  await expect(picture).toBeVisible();
});
