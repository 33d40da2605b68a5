import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import styled from 'styled-components';
import { ask, send, sentenceOf } from '../../../api/client';
import { newKey } from '../../../api/keptEdits';
import type { SharedLink, Study } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { Button, WordButton } from '../../../ui/controls';
import { Row, WideInput } from '../../../ui/layout';

/** What they will see, beside what is said of it. */
const Shown = styled.div`
    display: grid;
    grid-template-columns: minmax(120px, 240px) minmax(0, 52ch);
    align-items: start;
    gap: var(--space-3) var(--space-4);
    & > img {
        display: block;
        width: 100%;
        grid-row: span 2;
    }
    @media (max-width: 599px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

interface ShareViewProps {
    study: Study;
    onFault: (text: string) => void;
}

/** A link by which somebody looks at this plan without signing in, and what they said. */
export function ShareView({ study, onFault }: ShareViewProps) {
    const client = useQueryClient();
    const key = ['book', 'share', study.id];
    const path = `/api/studies/${study.id}/share` as const;
    const shared = useQuery({ queryKey: key, queryFn: ({ signal }) => ask(path, { signal }), refetchOnMount: 'always' });
    const put = {
        onSuccess: (answer: SharedLink) => client.setQueryData(key, answer),
        onError: (error: unknown) => onFault(sentenceOf(error)),
    };
    const share = useMutation({ mutationFn: () => send('POST', path, { key: newKey() }), ...put });
    const withdraw = useMutation({ mutationFn: () => send('DELETE', path, { key: newKey() }), ...put });
    const link = shared.data?.link ?? null;
    return (
        <Column aria-label="Share the plan">
            <PartHead $first>
                <h2>Show the plan of “{study.name}” to somebody</h2>
            </PartHead>
            {shared.isPending && <p aria-busy="true">Loading the link…</p>}
            {shared.error !== null && <p role="alert">{sentenceOf(shared.error)}</p>}
            {shared.data !== undefined && link === null && (
                <Shown>
                    <img src={`/api/studies/${study.id}/photo`} alt="" />
                    <p>
                        Everyone with the link sees the photos, zones and plan of this study, and nothing else. They can’t change anything;
                        they can say which photo the colours should follow.
                    </p>
                    <Row>
                        <Button $main isPending={share.isPending} onPress={() => share.mutate()}>
                            Create link
                        </Button>
                    </Row>
                </Shown>
            )}
            {link !== null && (
                <LinkPart link={link} isPending={withdraw.isPending} onWithdraw={() => withdraw.mutate()} onFault={onFault} />
            )}
        </Column>
    );
}

interface LinkPartProps {
    link: NonNullable<SharedLink['link']>;
    isPending: boolean;
    onWithdraw: () => void;
    onFault: (text: string) => void;
}

function LinkPart({ link, isPending, onWithdraw, onFault }: LinkPartProps) {
    const address = window.location.origin + link.path;
    const copy = () =>
        void navigator.clipboard
            .writeText(address)
            .catch(() => onFault('This browser does not allow copying. Select the link and copy it by hand.'));
    return (
        <>
            <Row>
                <WideInput readOnly aria-label="The link" value={address} onFocus={(e) => e.target.select()} />
                <WordButton onPress={copy}>Copy</WordButton>
                <Link to={link.path} target="_blank">
                    Open the shared page
                </Link>
            </Row>
            <Row>
                <Button isPending={isPending} onPress={onWithdraw}>
                    Stop sharing
                </Button>
                <span>The link stops working at once and can’t be restored.</span>
            </Row>
            <PartHead>
                <h2>Replies</h2>
            </PartHead>
            {link.at === null ? (
                <p>No replies yet.</p>
            ) : (
                <p>
                    {link.photoName !== null && <b>Colours should follow “{link.photoName}”. </b>}
                    {link.note} ({new Date(link.at * 1000).toLocaleDateString('en-GB')})
                </p>
            )}
        </>
    );
}
