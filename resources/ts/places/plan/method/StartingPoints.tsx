import styled from 'styled-components';
import type { Plan, PlanZone, Sequence, Study } from '../../../api/types';
import { sentenceOf } from '../../../api/client';
import { useSurveyOf } from '../../../api/studies';
import { ZoneThumb } from '../../../stage/ZoneThumb';
import { PartHead } from '../../../ui/Column';
import { NativeSelect, WordButton } from '../../../ui/controls';
import { within } from '../../../ui/within';
import { useTried } from '../queries';
import { End, Ends } from '../sequence/Answers';

const Head = styled(PartHead)`
    & .place {
        width: 72px;
        padding: var(--space-1) 0;
    }
`;

const Points = styled.div`
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(136px, 1fr));
    gap: var(--space-3);
    padding-bottom: var(--space-3);
    font-size: var(--type-small);
    line-height: 1.3;
    & article {
        display: flex;
        flex-direction: column;
        align-items: start;
        gap: var(--space-1);
        border-top: 3px solid transparent;
    }
    & article > :last-child {
        margin-top: auto;
    }
    & article.used {
        border-color: var(--ink);
    }
`;

/** The room is there before the strip is: nothing moves when it comes. */
const Strip = styled.div`
    width: 100%;
    min-height: 76px;
    & > div {
        gap: 0;
    }
    & > div > span {
        max-width: none;
    }
    & .aim {
        height: 26px;
    }
    & .dab {
        height: 50px;
    }
`;

interface StartingPointsProps {
    study: Study;
    picture: Plan;
    /** The zone in which they are tried, and what chooses it; where the method is for one zone it is that one. */
    zone: PlanZone;
    onTry: ((zone: number) => void) | undefined;
    method: readonly string[];
    onTake: (settings: readonly string[]) => void;
}

/** Methods with a name, each with what it makes of a zone of this photo. */
export function StartingPoints({ study, picture, zone, onTry, method, onTake }: StartingPointsProps) {
    const place = useSurveyOf(study.id).data?.zones?.list.find((z) => z.number === zone.number)?.outlines ?? [];
    const isUsed = (settings: readonly string[]) => [...settings].sort().join() === [...method].sort().join();
    return (
        <section aria-label="Starting points">
            <Head>
                <span className="place">
                    <ZoneThumb study={study} outlines={place} />
                </span>
                <h2>What each method makes of {onTry === undefined ? `“${zone.name}”` : ''}</h2>
                {onTry !== undefined && (
                    <NativeSelect aria-label="Try methods in" value={zone.number} onChange={(e) => onTry(Number(e.target.value))}>
                        {picture.zones.map((z) => (
                            <option key={z.number} value={z.number}>
                                {z.name}
                            </option>
                        ))}
                    </NativeSelect>
                )}
            </Head>
            <Points>
                {picture.startingPoints.map((p) => (
                    <article key={p.value} aria-label={p.title} className={isUsed(p.settings) ? 'used' : ''}>
                        <b>{p.title}</b>
                        <Tried study={study.id} zone={zone} start={p.value} stamp={`${picture.version}/${picture.waiting}`} />
                        <p>{p.why}</p>
                        {isUsed(p.settings) ? (
                            <p>In use.</p>
                        ) : (
                            <WordButton aria-label={`Work this way: ${p.title}`} onPress={() => onTake(p.settings)}>
                                Work this way
                            </WordButton>
                        )}
                    </article>
                ))}
            </Points>
        </section>
    );
}

function Tried({ study, zone, start, stamp }: { study: number; zone: PlanZone; start: string; stamp: string }) {
    const { data, error } = useTried(study, zone.number, start, stamp);
    const tried = data?.answers[0];
    return (
        <>
            <Strip>
                {tried !== undefined && (
                    <Ends>
                        {zone.shades.map((s) => (
                            <End key={s.shade} answer={tried} target={s} />
                        ))}
                    </Ends>
                )}
            </Strip>
            <p role="status">{error === null ? told(tried) : sentenceOf(error)}</p>
        </>
    );
}

function told(tried: Sequence | undefined): string {
    if (tried === undefined) {
        return 'Trying it…';
    }
    const pencils = new Set(tried.passes.flatMap((p) => (p.pencil ? [p.pencil.id] : []))).size;
    const what = `${counted(tried.passes.length, 'pass', 'passes')}, ${counted(pencils, 'pencil', 'pencils')}`;
    return `Likely error ${within(tried.errorOnPaper)}. ${what}.`;
}

const counted = (n: number, one: string, more: string): string => `${n} ${n === 1 ? one : more}`;
