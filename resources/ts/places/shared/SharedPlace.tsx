import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { ask, RequestFailed, sentenceOf } from '../../api/client';
import { Page } from '../../ui/layout';
import { SayPart } from './SayPart';
import { SharedZones } from './SharedZones';

const Whole = styled.main`
    display: grid;
    gap: var(--space-4);
    padding: var(--space-4) var(--space-5) var(--space-6);
    max-width: 1180px;
    & h1 {
        font-size: var(--type-title);
        font-weight: 700;
    }
`;

const Pictures = styled.div`
    display: flex;
    flex-wrap: wrap;
    gap: var(--space-3);
    & figure {
        margin: 0;
        flex: 1;
        min-width: 240px;
        max-width: 560px;
    }
    & img {
        display: block;
        width: 100%;
    }
`;

/** What whoever has the link of a plan sees: its photos, what it will look like, and how it is laid. Nothing here changes it. */
export function SharedPlace() {
    const { token = '' } = useParams();
    const base = `/api/shared/${token}` as const;
    const shared = useQuery({ queryKey: ['shared', token], queryFn: ({ signal }) => ask(base, { signal }), retry: false });
    if (shared.data === undefined) {
        const isGone = shared.error instanceof RequestFailed && shared.error.status === 404;
        return (
            <Whole aria-busy={shared.isPending}>
                <h1>Knotty Prism</h1>
                <p role={shared.error === null ? undefined : 'alert'}>
                    {shared.error === null
                        ? 'Opening the plan…'
                        : isGone
                          ? 'There is no plan here. Sharing was stopped, or the link is incomplete; ask the person who sent it to you.'
                          : sentenceOf(shared.error)}
                </p>
            </Whole>
        );
    }
    const plan = shared.data;
    return (
        <Page>
            <Whole>
                <h1>{plan.name}: how it is to be drawn</h1>
                <p>
                    Coloured pencil on {plan.paper}.
                    {plan.isPlanned
                        ? ` Likely error on paper: ${Math.round(plan.errorOnPaper)} (ΔE00).`
                        : ' Some zones are not planned yet.'}
                </p>
                <Pictures>
                    {plan.photos.map((p) => (
                        <figure key={p.id}>
                            <img src={`${base}/photos/${p.id}`} alt={`Photo “${p.name}”`} />
                            <figcaption>
                                {p.name}
                                {p.isFollowed && ': colours follow this photo'}
                            </figcaption>
                        </figure>
                    ))}
                    {plan.steps > 0 && (
                        <figure>
                            <img src={`${base}/drawn?step=${plan.steps}`} alt="The picture as pencil on paper" />
                            <figcaption>preview of the drawing</figcaption>
                        </figure>
                    )}
                </Pictures>
                <SayPart key={plan.said.at} plan={plan} base={base} onSaid={() => void shared.refetch()} />
                <SharedZones plan={plan} />
            </Whole>
        </Page>
    );
}
