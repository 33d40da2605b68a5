import { useState } from 'react';
import styled from 'styled-components';
import type { Picture, Study } from '../api/types';
import { useLoaded } from '../photo/stage/useLoaded';
import { WordChoice } from '../ui/controls';
import { imageOf } from './queries';

const Stage = styled.div<{ $shape: number }>`
    position: relative;
    width: min(100%, calc(max(260px, 100vh - 300px) * ${(p) => p.$shape}));
    aspect-ratio: ${(p) => p.$shape};
    margin: 0 auto;
    overflow: hidden;
    background: var(--line);
    & img {
        position: absolute;
        inset: 0;
        width: 100%;
        height: 100%;
    }
    & i {
        position: absolute;
        top: 0;
        bottom: 0;
        width: 3px;
        margin-left: -1.5px;
        background: #fff;
        outline: 1px solid #000;
    }
    & span {
        position: absolute;
        top: 0;
        padding: 1px 6px;
        background: #555;
        color: #fff;
        font-size: 13px;
    }
`;

const Tools = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 16px;
    padding: 0 16px;
    & label {
        display: flex;
        align-items: center;
        gap: 8px;
        min-height: 44px;
    }
`;

const LOOKS = [
    { value: 'colour', label: 'Colour' },
    { value: 'grey', label: 'Grey' },
    { value: 'error', label: 'Errors' },
] as const;

/** The picture after every pass, laid over the photo as far as the divider; in colour, in grey, or where it will differ. */
export function PictureStage({ study, picture, stamp }: { study: Study; picture: Picture; stamp: string }) {
    const [step, setStep] = useState<number | null>(null);
    const [look, setLook] = useState<(typeof LOOKS)[number]['value']>('colour');
    const [divider, setDivider] = useState(50);
    const planned = picture.zones.some((z) => z.targets.some((t) => t.recipe !== null));
    const at = Math.min(step ?? picture.steps, picture.steps);
    // A zone of which nothing is planned has no look yet.
    const whole = picture.zones.every((z) => z.targets.some((t) => t.recipe !== null && t.role !== 'accent'));
    const photo = useLoaded(`/api/studies/${study.id}/photos/${study.photoId}/look?tone=${look === 'grey' ? 'grey' : 'colour'}`);
    const laid = useLoaded(whole ? imageOf(study.id, look === 'error' ? 'error' : at, look === 'grey', stamp) : photo.shown);
    return (
        <section aria-label="The picture to come">
            <Stage $shape={study.photoWidth / study.photoHeight}>
                <img src={photo.shown} alt={`the photo, ${look === 'grey' ? 'in grey' : 'in colour'}`} draggable={false} />
                {whole && (
                    <>
                        <img
                            src={laid.shown}
                            alt={
                                look === 'error'
                                    ? 'where the plan differs from the photo: the darker, the more'
                                    : `the picture after pass ${at} of ${picture.steps}`
                            }
                            style={{ clipPath: `inset(0 0 0 ${divider}%)` }}
                            draggable={false}
                        />
                        <i style={{ left: `${divider}%` }} aria-hidden="true" />
                        <span style={{ right: 0 }}>
                            {laid.waiting ? 'Drawing it…' : look === 'error' ? 'darker: farther off' : `after ${at} of ${picture.steps}`}
                        </span>
                    </>
                )}
                <span style={{ left: 0 }}>photo</span>
            </Stage>
            {planned && !whole && <p style={{ padding: '0 16px' }}>The picture is drawn as soon as every zone has a recipe.</p>}
            {whole && (
                <Tools>
                    <label style={{ flex: 1 }}>
                        Divider
                        <input
                            type="range"
                            min={0}
                            max={100}
                            value={divider}
                            style={{ flex: 1 }}
                            onChange={(e) => setDivider(Number(e.target.value))}
                            aria-valuetext={`photo up to ${divider} %`}
                        />
                    </label>
                    <label style={{ flex: 1 }}>
                        Pass
                        <input
                            type="range"
                            min={0}
                            max={picture.steps}
                            value={at}
                            disabled={look === 'error'}
                            style={{ flex: 1 }}
                            onChange={(e) => setStep(Number(e.target.value))}
                            aria-valuetext={at === 0 ? 'the bare paper' : `after pass ${at} of ${picture.steps}`}
                        />
                    </label>
                    <WordChoice label="How it is looked at" value={look} options={LOOKS} onChange={setLook} />
                </Tools>
            )}
        </section>
    );
}
