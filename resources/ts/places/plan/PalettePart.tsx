import styled from 'styled-components';
import type { Plan, PlanPencil, Study, StudyPurchases } from '../../api/types';

import { Curve } from '../../ui/Curve';
import { Column, PartHead } from '../../ui/Column';
import { NativeSelect, WordButton, Range } from '../../ui/controls';
import { Dab } from '../../dabs/Dab';
import { useDraft } from '../../ui/useDraft';
import type { PlanChanges } from './queries';
import { usePurchases } from '../../api/studies';
import { Row, Aired } from '../../ui/layout';

const Beside = styled.ol`
    display: grid;
    grid-template-columns: repeat(auto-fill, 118px);
    gap: var(--space-1) var(--space-2);
    margin: 0;
    padding: var(--space-2) 0;
    list-style: none;
    & .dab {
        display: block;
        height: 44px;
    }
    & b {
        font-size: var(--type-title);
        font-weight: 700;
    }
    & small {
        display: block;
        font-size: var(--type-figure);
        line-height: 1.2;
    }
    & button {
        font-size: var(--type-figure);
        padding: 0 var(--space-1);
        margin-right: var(--space-1);
    }
`;

const FEWEST = 3;
const MOST = 24;

interface PalettePartProps {
    study: Study;
    picture: Plan;
    stamp: string;
    changes: PlanChanges;
}

/**
 * The pencils of the plan as they would lie beside the drawing; how many there may be and what fewer cost; which must and which must not
 * be there.
 */
export function PalettePart({ study, picture, stamp, changes }: PalettePartProps) {
    const { settings, palette, suffering } = picture;
    const purchases = usePurchases(picture.waiting === 0 ? study.id : null, stamp);
    const again = (change: Parameters<PlanChanges['change']['mutate']>[0]) =>
        changes.change.mutate(change, { onSuccess: () => changes.run.mutate() });
    const nameOf = (zone: number): string => picture.zones.find((z) => z.number === zone)?.name ?? '';
    return (
        <Column aria-label="Palette">
            <HowMany picture={picture} changes={changes} />
            <Row>
                <WordButton onPress={() => again({ kind: 'preset', what: 'exactly-three' })}>Exactly three: light, mid, dark</WordButton>
                <WordButton onPress={() => again({ kind: 'preset', what: 'one-colour' })}>One colour with black and white</WordButton>
                <WordButton onPress={() => again({ kind: 'preset', what: 'whole' })}>The whole drawer</WordButton>
            </Row>
            <Aired>
                {palette.length} pencils in this plan, light to dark.
                {suffering.length > 0 &&
                    ` With so few, these lose most: ${suffering
                        .slice(0, 4)
                        .map((s) => `${s.zone} (ΔE00 ${s.deltaE00.toFixed(1)})`)
                        .join(', ')}.`}
            </Aired>
            <Beside aria-label="Pencils in the plan">
                {palette.map((p) => (
                    <PencilItem
                        key={p.id}
                        pencil={p}
                        kept={settings.keep.includes(p.id)}
                        nameOf={nameOf}
                        onLock={(how) => again({ kind: 'lock', pencil: p.id, how })}
                    />
                ))}
            </Beside>
            <NotInPlan picture={picture} onLock={(pencil, how) => again({ kind: 'lock', pencil, how })} />
            <p role="status">{buyingWords(picture.waiting, purchases.data)}</p>
        </Column>
    );
}

function HowMany({ picture, changes }: { picture: Plan; changes: PlanChanges }) {
    const { settings, curve } = picture;
    const [count, setCount] = useDraft(settings.pencils ?? MOST);
    const cost = curve.find((c) => c.pencils === count)?.deltaE00;
    const keep = (n: number) =>
        changes.change.mutate({ kind: 'pencils', count: n >= MOST ? null : n }, { onSuccess: () => changes.run.mutate() });
    return (
        <>
            <PartHead $first>
                <h2>Number of pencils</h2>
                <span>{count >= MOST ? 'the whole drawer' : `at most ${count}`}</span>
            </PartHead>
            <Curve
                label={`Cost by number of pencils: ${curve.map((c) => `${c.pencils}: ΔE00 ${c.deltaE00.toFixed(2)}`).join(', ')}`}
                points={curve.map((c) => ({ x: c.pencils, y: c.deltaE00 }))}
                here={cost === undefined ? undefined : { x: count, y: cost }}
                hereWords={cost === undefined ? '' : `${count} pencils: ${cost.toFixed(1)}`}
                xTitle="pencils in the plan, at most"
                yTitle="forecast error, ΔE00"
            />
            <Range
                aria-label="Pencils of the palette"
                min={FEWEST}
                max={MOST}
                value={count}
                aria-valuetext={count >= MOST ? 'the whole drawer' : `at most ${count}`}
                onChange={(e) => setCount(Number(e.target.value))}
                onPointerUp={(e) => keep(Number(e.currentTarget.value))}
                onKeyUp={(e) => e.key.startsWith('Arrow') && keep(Number(e.currentTarget.value))}
            />
        </>
    );
}

type How = 'in' | 'out' | 'free';

interface PencilItemProps {
    pencil: PlanPencil;
    kept: boolean;
    nameOf: (zone: number) => string;
    onLock: (how: How) => void;
}

function PencilItem({ pencil, kept, nameOf, onLock }: PencilItemProps) {
    return (
        <li>
            <span className="dab">
                <Dab strata={pencil.strata} width={118} height={44} label={pencil.words} />
            </span>
            <b>{pencil.number}</b> {pencil.part}
            {kept && ' kept'}
            <small title={pencil.zones.map(nameOf).join(', ')}>
                {pencil.name}
                <br />
                in {pencil.zones.length} {pencil.zones.length === 1 ? 'zone' : 'zones'}
            </small>
            {kept ? (
                <WordButton aria-label={`Unlock ${pencil.number}`} onPress={() => onLock('free')}>
                    Unlock
                </WordButton>
            ) : (
                <WordButton aria-label={`Keep ${pencil.number}`} onPress={() => onLock('in')}>
                    Keep
                </WordButton>
            )}
            <WordButton aria-label={`I don't have ${pencil.number}`} onPress={() => onLock('out')}>
                Not owned
            </WordButton>
        </li>
    );
}

function NotInPlan({ picture, onLock }: { picture: Plan; onLock: (pencil: string, how: How) => void }) {
    return (
        <>
            <PartHead>
                <h2>Not in the plan</h2>
                <NativeSelect aria-label="Keep another pencil in the palette" value="" onChange={(e) => onLock(e.target.value, 'in')}>
                    <option value="">Add a pencil…</option>
                    {picture.left.map((p) => (
                        <option key={p.id} value={p.id}>
                            {p.number} {p.name}
                        </option>
                    ))}
                </NativeSelect>
            </PartHead>
            {picture.settings.without.map((id) => (
                <p key={id}>
                    Without {id}.{' '}
                    <WordButton aria-label={`I have ${id} again`} onPress={() => onLock(id, 'free')}>
                        I have it again
                    </WordButton>
                </p>
            ))}
        </>
    );
}

function buyingWords(waiting: number, purchases: StudyPurchases | undefined): string {
    if (waiting > 0) {
        return 'Suggestions for new pencils appear when every zone is planned.';
    }
    if (purchases === undefined) {
        return 'Trying every pencil you don’t have…';
    }
    const best = purchases.purchases[0];
    return best === undefined
        ? 'No other pencil would make a clear difference.'
        : `${best.number} ${best.name} would help most: mean error on paper ΔE00 ${best.deltaE00.toFixed(2)} lower.`;
}
