import { Component, Suspense, type ReactNode } from 'react';
import styled from 'styled-components';
import { Button } from '../ui/controls';

const Middle = styled.main`
    display: grid;
    gap: var(--space-3);
    justify-items: start;
    padding: var(--space-5);
`;

interface PlaceBoundaryProps {
    /** Of the place, for a sentence. */
    name: string;
    children: ReactNode;
}

/** A place, opened when it is gone to; a fault in it is said there, and leaves the others as they are. */
export class PlaceBoundary extends Component<PlaceBoundaryProps, { broken: boolean }> {
    override state = { broken: false };

    static getDerivedStateFromError(): { broken: boolean } {
        return { broken: true };
    }

    override render(): ReactNode {
        const { name, children } = this.props;
        if (this.state.broken) {
            return (
                <Middle>
                    <p role="alert">
                        Something went wrong, so “{name}” can’t be shown. What you chose is saved, and changes that are waiting are kept on
                        this device.
                    </p>
                    <Button $main onPress={() => window.location.reload()}>
                        Reload this page
                    </Button>
                    <nav aria-label="Places">
                        <a href="/photo">Photo</a> · <a href="/drawer">Drawer</a> · <a href="/plan">Plan</a> · <a href="/desk">Desk</a>
                    </nav>
                </Middle>
            );
        }
        return <Suspense fallback={<Middle aria-busy="true">Opening “{name}”…</Middle>}>{children}</Suspense>;
    }
}
