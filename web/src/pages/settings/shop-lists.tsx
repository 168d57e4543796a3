import { KEYS, questions } from '../../api/questions.js';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Shop } from '@which-way/contract';
import type { ListLine } from '@which-way/core/safety';
import { SUPPLIES, type SupplyKind } from '@which-way/core/log';
import { SHOP_NAME_LETTERS, CODE_NOTE_LETTERS, REASON_LETTERS } from '@which-way/core/schema';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { toast } from '../../controls/toast.js';
import { api, toldOf } from '../../api/client.js';
import { Choice } from '../../controls/fields/choice.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { lineWords, SUPPLY_WORDS } from '@which-way/words/before/safety';
import { SHOP_PAGE_TEXT } from '@which-way/words/screens/pages/settings/shop-page';
import { TextInput, TextLines } from '../../controls/fields/text-input.js';
import { Field } from '../../controls/fields/field.js';

/** The shop's own safety lists and notes on local codes. */
export function ShopLists() {
  const shop = useQuery({ ...questions.shop(), staleTime: 0 });
  return (
    <>
      {shop.isError && (
        <Notice look="amber" title={toldOf(shop.error).message}>
          {toldOf(shop.error).hint}
        </Notice>
      )}
      {shop.data && <ShopForm key={ownPart(shop.data)} shop={shop.data} />}
    </>
  );
}

/** What this page changes: what it has typed stays while the shop’s meters change. */
const ownPart = ({ name, safetyLists, codeNotes }: Shop): string =>
  JSON.stringify({ name, safetyLists, codeNotes });

function ShopForm({ shop }: { shop: Shop }) {
  const queries = useQueryClient();
  const [draft, setDraft] = useState(shop);
  const [supply, setSupply] = useState<SupplyKind>('plug-in');
  const [trouble, setTrouble] = useState<{ message: string; hint: string } | null>(null);
  const changed = ownPart(draft) !== ownPart(shop);
  const lines = draft.safetyLists[supply];
  const setLines = (next: ListLine[]) =>
    setDraft({ ...draft, safetyLists: { ...draft.safetyLists, [supply]: next } });
  const save = async () => {
    setTrouble(null);
    try {
      await api.changeShop({ ...draft, version: shop.version, meters: shop.meters });
      toast.success(SHOP_PAGE_TEXT.theShopsListsAreSaved);
      await queries.invalidateQueries({ queryKey: KEYS.shop });
    } catch (error) {
      setTrouble(toldOf(error));
    }
  };
  return (
    <div className="grid gap-6">
      <Field
        label={<strong>{SHOP_PAGE_TEXT.nameOfTheShop}</strong>}
        className="max-w-md"
        value={draft.name}
        maxLength={SHOP_NAME_LETTERS}
        onType={(text) => setDraft({ ...draft, name: text })}
      />
      <Choice
        label={SHOP_PAGE_TEXT.theListFor}
        shown
        value={supply}
        options={SUPPLIES.map((value) => ({ value, text: SUPPLY_WORDS[value].name }))}
        onChoose={setSupply}
      />
      <label>
        <span className="font-semibold">{SHOP_PAGE_TEXT.localCodesWhatAppliesHere}</span>
        <TextLines
          rows={3}
          maxLength={CODE_NOTE_LETTERS}
          value={draft.codeNotes[supply]}
          onChange={({ target }) =>
            setDraft({ ...draft, codeNotes: { ...draft.codeNotes, [supply]: target.value } })
          }
          className="mt-1 w-full"
        />
        <span className="text-small text-quiet">{SHOP_PAGE_TEXT.shownAboveTheListOf}</span>
      </label>
      <ol className="border-t-2 border-line" aria-label={SHOP_PAGE_TEXT.linesOfTheList}>
        {lines.map((line, index) => (
          <LineForm
            key={`${supply} ${line.kind} ${line.kind === 'own' ? index : ''}`}
            line={line}
            supply={supply}
            onChange={(next) => setLines(lines.map((one, at) => (at === index ? next : one)))}
            onRemove={line.kind === 'own' ? () => setLines(lines.filter((_, at) => at !== index)) : null}
            onMove={(by) => setLines(moved(lines, index, by))}
            first={index === 0}
            last={index === lines.length - 1}
          />
        ))}
      </ol>
      <PlainButton
        className="justify-self-start"
        onClick={() => setLines([...lines, { kind: 'own', text: '', why: '' }])}
      >
        {SHOP_PAGE_TEXT.oneMoreLine}
      </PlainButton>
      {trouble && (
        <Notice look="brick" title={trouble.message}>
          {trouble.hint}
        </Notice>
      )}
      <div className="sticky bottom-0 flex flex-wrap gap-3 border-t-2 border-line bg-paper py-3">
        <PlainButton
          look="strong"
          className="min-h-14 text-large"
          disabled={!changed}
          onClick={() => void save()}
        >
          {SHOP_PAGE_TEXT.saveTheLists}
        </PlainButton>
        <PlainButton disabled={!changed} onClick={() => setDraft(shop)}>
          {SHOP_PAGE_TEXT.asTheyWere}
        </PlainButton>
      </div>
    </div>
  );
}

function moved(lines: readonly ListLine[], index: number, by: number): ListLine[] {
  const line = lines[index];
  const others = lines.filter((_, at) => at !== index);
  return line ? [...others.slice(0, index + by), line, ...others.slice(index + by)] : [...lines];
}

interface LineFormProps {
  line: ListLine;
  supply: SupplyKind;
  onChange: (line: ListLine) => void;
  /** null: a standard line, which stays. */
  onRemove: (() => void) | null;
  onMove: (by: number) => void;
  first: boolean;
  last: boolean;
}

function LineForm({ line, supply, onChange, onRemove, onMove, first, last }: LineFormProps) {
  const standard = lineWords({ ...line, text: null, why: null }, supply);
  const own = line.kind === 'own';
  const change = (field: 'text' | 'why', typed: string) =>
    onChange({ ...line, [field]: !own && (typed === standard[field] || typed === '') ? null : typed });
  return (
    <li className="grid gap-2 border-b border-line py-3 sm:grid-cols-[1fr_auto]">
      <div className="grid gap-2">
        <TextInput
          aria-label={SHOP_PAGE_TEXT.whatToDo}
          maxLength={REASON_LETTERS}
          value={line.text ?? standard.text}
          onChange={({ target }) => change('text', target.value)}
          className="mt-1 w-full font-semibold"
        />
        <TextInput
          aria-label={SHOP_PAGE_TEXT.why}
          placeholder={SHOP_PAGE_TEXT.whyInASentence}
          maxLength={REASON_LETTERS}
          value={line.why ?? standard.why}
          onChange={({ target }) => change('why', target.value)}
          className="mt-1 w-full text-quiet"
        />
      </div>
      <div className="flex items-start gap-1">
        <PlainButton
          className="!px-3"
          aria-label={SHOP_PAGE_TEXT.moveUp}
          disabled={first}
          onClick={() => onMove(-1)}
        >
          <ArrowUp size={18} aria-hidden="true" />
        </PlainButton>
        <PlainButton
          className="!px-3"
          aria-label={SHOP_PAGE_TEXT.moveDown}
          disabled={last}
          onClick={() => onMove(1)}
        >
          <ArrowDown size={18} aria-hidden="true" />
        </PlainButton>
        {onRemove ? (
          <PlainButton className="!px-3" aria-label={SHOP_PAGE_TEXT.removeThisLine} onClick={onRemove}>
            <Trash2 size={18} aria-hidden="true" />
          </PlainButton>
        ) : (
          <span className="w-20 pt-2 text-center text-small text-quiet">{SHOP_PAGE_TEXT.stays}</span>
        )}
      </div>
    </li>
  );
}
