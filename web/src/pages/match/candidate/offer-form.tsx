import { FACT_COLUMNS, readFact, type CsvColumn } from '@which-way/core/formats';
import { LINK_LETTERS, type Offer } from '@which-way/core/log';
import { isDoubtfulNumber, MECHANICS_LETTERS, TITLE_LETTERS } from '@which-way/core/schema';
import type { EntryId, OfferId, PartFacts } from '@which-way/core/switch';
import { csvTroubleWords } from '@which-way/words/match/catalogue';
import { factLines } from '@which-way/words/match/part-facts';
import { useState } from 'react';
import { newId } from '../../../job/new-id.js';
import { readAmount } from '../../../controls/fields/amount.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { OFFER_FORM_TEXT } from '@which-way/words/screens/pages/match/candidate/offer-form';
import { TextInput } from '../../../controls/fields/text-input.js';
import { Field } from '../../../controls/fields/field.js';
import { oneLength } from '@which-way/core/match';
import { keptLengths, UNIT_OF_LENGTH } from '@which-way/words/units';
import { useUnits } from '../../../parts/units/units.js';

/** A new offer: who, where, for how much, and what they state. */
export function OfferForm({ entry, onAdd }: { entry: EntryId; onAdd: (offer: Offer) => void }) {
  const [typed, setTyped] = useState({ seller: '', link: '', price: '' });
  const [stated, setStated] = useState<PartFacts>({});
  const price = readAmount(typed.price);
  const link = typed.link.trim();
  const badLink = link !== '' && !/^https?:\/\/\S+$/.test(link);
  const set = (key: keyof typeof typed) => (value: string) => setTyped({ ...typed, [key]: value });
  const wrong = price === undefined || badLink || typed.seller.trim() === '';
  return (
    <form
      aria-label={OFFER_FORM_TEXT.aNewOffer}
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (wrong) return;
        onAdd({
          id: newId<OfferId>(),
          entry,
          seller: typed.seller.trim(),
          link: link || null,
          price: price ?? null,
          stated,
          questions: [],
          asked: null,
          answer: '',
          state: 'open',
          reason: '',
          removed: false,
        });
        setTyped({ seller: '', link: '', price: '' });
        setStated({});
      }}
    >
      <div className="grid gap-2 sm:grid-cols-[2fr_3fr_1fr]">
        <Field
          label={OFFER_FORM_TEXT.seller}
          value={typed.seller}
          maxLength={TITLE_LETTERS}
          onType={(text) => set('seller')(text)}
        />
        <Field
          label={OFFER_FORM_TEXT.whereALink}
          value={typed.link}
          maxLength={LINK_LETTERS}
          inputMode="url"
          onType={(text) => set('link')(text)}
        />
        <Field
          label={OFFER_FORM_TEXT.price}
          value={typed.price}
          inputMode="decimal"
          onType={(text) => set('price')(text)}
        />
      </div>
      {price === undefined && (
        <p role="alert" className="text-brick">
          “{typed.price}
          {OFFER_FORM_TEXT.isNotAPriceA}
        </p>
      )}
      {badLink && (
        <p role="alert" className="text-brick">
          “{link}
          {OFFER_FORM_TEXT.isNotALinkIt}
        </p>
      )}
      <StatedFacts stated={stated} onState={setStated} />
      <PlainButton type="submit" disabled={wrong} className="justify-self-start">
        {OFFER_FORM_TEXT.addTheOffer}
      </PlainButton>
    </form>
  );
}

/** Columns that hold a length; a catalogue has them in millimetres. */
const LENGTHS: ReadonlySet<CsvColumn> = new Set([
  'bolt-spacing',
  'bushing',
  'shaft-diameter',
  'shaft-length',
  'depth',
] as const);

/** What an offer states, fact by fact, read as a catalogue's cells are. */
function StatedFacts({ stated, onState }: { stated: PartFacts; onState: (facts: PartFacts) => void }) {
  const units = useUnits();
  const [column, setColumn] = useState<CsvColumn>('marking');
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState('');
  const add = () => {
    // One length, in whatever unit it says or this device uses; anything else, 1,500 too, is refused as it stands.
    const isLength = LENGTHS.has(column) && !isDoubtfulNumber(text.trim());
    const length = isLength ? oneLength(keptLengths(text.trim(), units)) : null;
    const asKept = length === null ? text : String(Number(length.toFixed(2)));
    const read = readFact(column, asKept);
    if (!read.ok) return setTrouble(csvTroubleWords(read.trouble));
    setTrouble('');
    setText('');
    onState({ ...stated, ...read.facts });
  };
  const factColumnWords = (one: CsvColumn) =>
    [one.replaceAll('-', ' '), LENGTHS.has(one) && `(${UNIT_OF_LENGTH[units]})`].filter(Boolean).join(' ');
  return (
    <div className="grid gap-1">
      {factLines(stated, units).length > 0 && (
        <p>
          {OFFER_FORM_TEXT.states}{' '}
          {factLines(stated, units)
            .map(([label, value]) => `${label}: ${value}`)
            .join(' · ')}
          <PlainButton look="quiet" className="!px-2" onClick={() => onState({})}>
            {OFFER_FORM_TEXT.clear}
          </PlainButton>
        </p>
      )}
      <div className="flex flex-wrap items-center gap-2">
        {OFFER_FORM_TEXT.itStates}
        <Pick
          quiet
          label={OFFER_FORM_TEXT.whatItStates}
          value={column}
          options={FACT_COLUMNS.map((one) => ({ value: one, text: factColumnWords(one) }))}
          onPick={(chosen) => setColumn(FACT_COLUMNS.find((one) => one === chosen) ?? 'marking')}
        />
        <TextInput
          aria-label={OFFER_FORM_TEXT.asItIsStated}
          value={text}
          maxLength={MECHANICS_LETTERS}
          onChange={({ target }) => setText(target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || text.trim() === '') return;
            event.preventDefault();
            add();
          }}
          className="grow basis-40"
        />
        <PlainButton disabled={text.trim() === ''} onClick={add}>
          {OFFER_FORM_TEXT.takeThat}
        </PlainButton>
      </div>
      {trouble && (
        <p role="alert" className="text-brick">
          {trouble}
        </p>
      )}
    </div>
  );
}
