import type { QueryClient } from '@tanstack/react-query';
import { lanesOf } from './keptEdits';
import { Lane } from './lane';

/** All lanes of the account that this page was opened for. */
export class Outbox {
    private readonly lanes = new Map<string, Lane>();
    private readonly listeners = new Set<() => void>();
    private all: readonly Lane[] = [];

    constructor(
        private readonly client: QueryClient,
        private readonly account: string,
    ) {
        lanesOf(account).forEach((name) => this.named(name));
        window.addEventListener('beforeunload', (event) => {
            if (this.all.some((lane) => !lane.state.kept && lane.state.waiting.length > 0)) {
                event.preventDefault();
            }
        });
    }

    lane(name: string): Lane {
        return this.named(`${this.account}/${name}`);
    }

    /** Lanes in which something waits that could not be sent at once, or was refused unsaid. */
    troubled = (): readonly Lane[] => this.all;

    subscribe = (tell: () => void): (() => void) => {
        this.listeners.add(tell);
        return () => this.listeners.delete(tell);
    };

    private named(name: string): Lane {
        let lane = this.lanes.get(name);
        if (lane === undefined) {
            lane = new Lane(this.client, name);
            this.lanes.set(name, lane);
            lane.listeners.add(() => this.gather());
        }
        return lane;
    }

    private gather(): void {
        this.all = [...this.lanes.values()].filter((lane) => lane.state.trouble !== null || lane.state.refused !== null);
        this.listeners.forEach((tell) => tell());
    }
}
