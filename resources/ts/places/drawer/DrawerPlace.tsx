import { useState } from 'react';
import styled from 'styled-components';

import { TopBar } from '../../app/TopBar';
import { GrainProvider } from '../../dabs/grain';

import { Page } from '../../ui/layout';
import { Notice } from '../../ui/Notice';

import { useDrawerPlace } from './useDrawerPlace';
import { TrayPart, BesidePart } from './DrawerParts';

const Two = styled.main`
    flex: 1;
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(520px, 42%);
    @media (max-width: 1099px) {
        /* What lies below begins where the first part ends, however much of it is there yet. */
        grid-template: auto 1fr / minmax(0, 1fr);
    }
`;

const Beside = styled.div`
    border-left: 1.5px solid var(--strong-line);
    min-width: 0;
    @media (max-width: 1099px) {
        border-left: 0;
        border-top: 1.5px solid var(--strong-line);
    }
`;

/** The place "Drawer": the pencils as they lie, found in two keystrokes, and beside them what is asked of one, or of all. */
export function DrawerPlace() {
    const [fault, setFault] = useState<string | null>(null);
    const place = useDrawerPlace(setFault);
    return (
        <GrainProvider>
            <Page>
                <TopBar onFault={setFault} />
                <Notice text={fault} onClose={() => setFault(null)} />
                <Two>
                    <div>
                        <TrayPart place={place} />
                    </div>
                    <Beside>
                        <BesidePart place={place} />
                    </Beside>
                </Two>
            </Page>
        </GrainProvider>
    );
}
