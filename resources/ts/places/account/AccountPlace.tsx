import { useState } from 'react';
import styled from 'styled-components';
import { TopBar } from '../../app/TopBar';
import { sentenceOf } from '../../api/client';
import { Column, PartHead } from '../../ui/Column';
import { Inset, Page } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { EndPart } from './EndPart';
import { PasswordPart } from './PasswordPart';
import { useAccount } from './queries';

const Parts = styled(Inset)`
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
    gap: 0 var(--space-6);
    max-width: 1100px;
    & p + p {
        margin-top: var(--space-2);
    }
`;

const Facts = styled.dl`
    display: grid;
    grid-template-columns: max-content minmax(0, 1fr);
    margin: var(--space-2) 0;
    & dt,
    & dd {
        margin: 0;
        padding: var(--space-2) var(--space-4) var(--space-2) 0;
        border-bottom: 1px solid var(--line);
    }
    & progress {
        display: block;
        width: 100%;
        margin-top: var(--space-1);
    }
`;

/** One's own account: what is in it, who may come in, and its end. */
export function AccountPlace() {
    const [fault, setFault] = useState<string | null>(null);
    const account = useAccount();
    const { data } = account;
    return (
        <Page>
            <TopBar onFault={setFault} />
            <Notice text={fault ?? (account.error && !data ? sentenceOf(account.error) : null)} onClose={() => setFault(null)} />
            <Parts as="main">
                <Column aria-label="Your account">
                    <PartHead $first>
                        <h2>Your account</h2>
                    </PartHead>
                    {data === undefined ? (
                        <p role="status">Checking your account…</p>
                    ) : (
                        <>
                            <p>
                                <b>{data.name}</b>
                                {data.demo ? ', open to everyone who uses this computer' : `, ${data.email}`}
                            </p>
                            <Facts>
                                <dt>Studies</dt>
                                <dd>{data.studies}</dd>
                                <dt>Pencils</dt>
                                <dd>{data.pencils}</dd>
                                <dt>Space used</dt>
                                <dd>
                                    {data.megabytes} of {data.mostMegabytes} MB that an account may have here
                                    <progress aria-label="Space used" value={data.megabytes} max={data.mostMegabytes} />
                                </dd>
                            </Facts>
                            <p>
                                Before a photo is saved, everything except the picture is removed from its file: place, time, camera, names
                                and captions.
                            </p>
                            <p>
                                <a href="/api/book/account.zip">Save account as a file</a>, as a backup or for another account (Book,
                                “Share”).
                            </p>
                        </>
                    )}
                </Column>
                {data !== undefined && !data.demo && (
                    <>
                        <PasswordPart />
                        <EndPart studies={data.studies} pencils={data.pencils} />
                    </>
                )}
            </Parts>
        </Page>
    );
}
