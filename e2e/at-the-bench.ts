import { expect, type Locator, type Page } from '@playwright/test';

/** The heading of each step's first page. */
const HEADINGS = {
  Intake: 'Intake',
  'Make safe': 'Make safe',
  'Tag wires': 'Terminals and handle',
  Map: 'Map',
  'Truth table':
    /Truth table|pole|known|joins nothing|joined in|keys|switch|contact|selector|closed|in turn|joystick/i,
  Verify: /Verify|What it should do/,
  Match: /Match|What can take its place/,
};

/** What the prompt says, its small line too; runs in the page. */
const promptShown = (): string =>
  ['prompt', 'prompt-small']
    .map((name) => document.querySelector(`[data-testid="${name}"]`)?.textContent)
    .join('\n');

/** What the hands do on the screens, in the words of the screens. */
export class Bench {
  readonly prompt: Locator;
  readonly save: Locator;
  readonly table: Locator;

  constructor(readonly page: Page) {
    this.prompt = page.getByTestId('prompt');
    this.save = page.getByTestId('save-state');
    this.table = page.getByRole('region', { name: 'Truth table so far' });
  }

  /** Starts a real switch by keyboard alone. */
  async startReal(terminals: number, positions = '?'): Promise<void> {
    await this.page.goto('/');
    await this.page.getByRole('heading', { name: 'On the bench' }).waitFor();
    await this.page.keyboard.press('n');
    await this.page.keyboard.type(String(terminals));
    if (positions !== '?') await this.page.getByLabel('How many positions?').fill(positions);
    await this.page.keyboard.press('Enter');
    await expect(this.prompt).toHaveText('Hold the leads together');
  }

  async startSimulated(like: RegExp, positions: string, seed: string): Promise<void> {
    await this.page.goto('/');
    await this.page.getByRole('button', { name: 'Map a switch' }).click();
    await this.page.getByRole('button', { name: 'Try a simulated one' }).click();
    await this.pick('Wired like', like);
    await this.page.getByLabel('Seed').fill(seed);
    await this.page.getByLabel('How many positions?').fill(positions);
    await this.page.getByRole('button', { name: 'Start with the simulated switch' }).click();
    await expect(this.prompt).toHaveText('Hold the leads together');
  }

  /** Opens a list of choices by its label, and takes the first that has these words. */
  async pick(label: string | RegExp, words: string | RegExp, within?: Locator): Promise<void> {
    await (within ?? this.page).getByRole('combobox', { name: label, exact: true }).click();
    await this.page
      .getByRole('option', { name: words, exact: typeof words === 'string' })
      .first()
      .click();
  }

  /** Presses a key and waits until the prompt is another one, and the one after it has been thought of. */
  async answer(...keys: string[]): Promise<void> {
    await this.thought();
    const before = await this.page.evaluate(promptShown);
    for (const key of keys) await this.page.keyboard.press(key);
    // Looked for at each frame of the page: asking from outside takes turns that grow.
    await this.page.waitForFunction(
      (earlier) => {
        const region = document.querySelector('[data-testid="prompt"]')?.closest('[aria-busy]');
        const shown = ['prompt', 'prompt-small'].map(
          (name) => document.querySelector(`[data-testid="${name}"]`)?.textContent,
        );
        return region?.getAttribute('aria-busy') === 'false' && shown.join('\n') !== earlier;
      },
      before,
      { timeout: 25_000 },
    );
  }

  /** Waits until the next thing to do has been thought of. */
  async thought(): Promise<void> {
    await expect(this.page.getByRole('region', { name: 'What to do next' })).toHaveAttribute(
      'aria-busy',
      'false',
    );
  }

  /** The message beside the prompt, if there is one. */
  async said(): Promise<string | null> {
    const said = this.page.getByRole('region', { name: 'What to do next' }).getByRole('status');
    return (await said.count()) > 0 ? said.textContent() : null;
  }

  /** Types a line and ends it with Enter. */
  async type(line: string): Promise<void> {
    await this.page.keyboard.type(line);
    await this.page.keyboard.press('Enter');
  }

  /** Position first, whatever is quickest: the prompts are rows then, in the order of the lugs. */
  async byRows(): Promise<void> {
    await this.page.keyboard.press('/');
    await expect(this.page.getByRole('dialog', { name: 'How to map' })).toBeVisible();
    await this.page.keyboard.press('1');
    await expect(this.page.getByRole('dialog', { name: 'How to map' })).toHaveCount(0);
  }

  /** Lets the simulated meter answer until the plan asks for something else than a probe. */
  async probeOn(): Promise<void> {
    for (let guard = 0; guard < 200; guard += 1) {
      const text = (await this.prompt.textContent()) ?? '';
      if (!/^(Red |Sweep black|Black to|Hold the leads)|what does it read/i.test(text)) return;
      await this.answer('Enter');
    }
    throw new Error('the plan did not come to an end');
  }

  /** Goes to a step of the route, and waits until its page is the one that is shown: a terminal has the same name on two. */
  async go(step: keyof typeof HEADINGS): Promise<void> {
    await this.page
      .getByRole('navigation', { name: 'Steps of this job' })
      .getByRole('link', { name: step })
      .click();
    await this.page.getByRole('heading', { level: 1, name: HEADINGS[step] }).waitFor({ state: 'attached' });
  }

  /** Goes to a part of a step, and waits for its page. */
  async part(name: string): Promise<void> {
    await this.page.getByRole('link', { name, exact: true }).click();
    await this.page.getByRole('heading', { level: 1, name }).waitFor({ state: 'attached' });
  }

  terminal(label: string): Locator {
    return this.page.getByRole('button', { name: new RegExp(`^Terminal ${label}\\b`) });
  }

  jobId(): string {
    return /jobs\/([0-9a-f-]+)/.exec(this.page.url())?.[1] ?? '';
  }
}
