import styled from 'styled-components';
import type { SharedPlan } from '../../api/types';

const Zones = styled.ol`
    margin: 0;
    padding: 0;
    list-style: none;
    & > li {
        display: grid;
        grid-template-columns: 220px minmax(0, 1fr);
        gap: 0 var(--space-4);
        padding: var(--space-2) 0;
        border-top: 1px solid var(--line);
        @media (max-width: 699px) {
            grid-template-columns: minmax(0, 1fr);
        }
    }
    & .shades {
        display: flex;
        gap: var(--space-2);
    }
    & .shades i {
        display: block;
        width: 34px;
        height: 26px;
    }
`;

/** How each zone is laid, and how near it comes: the photo's colour above what comes of it. */
export function SharedZones({ plan }: { plan: SharedPlan }) {
    return (
        <Zones aria-label="Zones">
            {plan.zones.map((zone) => (
                <li key={zone.number}>
                    <div>
                        <b>{zone.name}</b>
                        <div className="shades">
                            {zone.shades.map((s) => (
                                <span key={s.name} title={`${s.name}: above the photo, below the drawing`}>
                                    <i style={{ background: s.seen }} />
                                    {s.comes !== null && <i style={{ background: s.comes }} />}
                                </span>
                            ))}
                        </div>
                    </div>
                    <p>
                        {zone.words === '' ? 'Not planned yet.' : zone.words}
                        {zone.errorOnPaper !== null && ` Likely error ${Math.round(zone.errorOnPaper)}.`}
                    </p>
                </li>
            ))}
        </Zones>
    );
}
