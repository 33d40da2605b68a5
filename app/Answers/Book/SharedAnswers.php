<?php

declare(strict_types=1);

namespace App\Answers\Book;

use App\Answers\PlanAnswers;
use App\Book\SharedPlans;
use App\Models\Photo;
use App\Models\SharedPlan;
use App\Models\Study;

/**
 * A plan as whoever has its link sees it, and what its artist sees of the link.
 *
 * @phpstan-import-type SharedLinkJson from \Described
 * @phpstan-import-type PlanZoneJson from \Described
 * @phpstan-import-type SharedPlanJson from \Described
 */
final class SharedAnswers
{
    public function __construct(private readonly PlanAnswers $plans, private readonly SharedPlans $shared)
    {
    }

    /** @return SharedLinkJson */
    public function link(Study $study): array
    {
        $shared = $this->shared->of($study);

        return [
            'link' => $shared === null
                    ? null
                    : [
                        'path' => "/shared/$shared->token",
                        'photoName' => $study->photos->firstWhere('id', $shared->wanted_photo_id)?->name,
                        ...self::said($shared),
                    ],
        ];
    }

    /** @return SharedPlanJson */
    public function plan(SharedPlan $shared): array
    {
        $study = $shared->study;
        $plan = $this->plans->plan($study->user()->firstOrFail(), $study);
        $zones = $plan['zones'];

        return [
            'name' => $study->name,
            'paper' => $study->paper,
            'errorOnPaper' => $plan['errorOnPaper'],
            'isPlanned' => $plan['waiting'] === 0 && $zones !== [],
            'photos' => array_values(
                $study->photos
                    ->map(
                        static fn (Photo $p): array => [
                            'id' => $p->id,
                            'name' => $p->name,
                            'isFollowed' => $p->id === $study->photo()->id,
                            'width' => $p->width,
                            'height' => $p->height,
                        ],
                    )
                    ->all(),
            ),
            'zones' => array_map(self::zone(...), $zones),
            'steps' => $plan['steps'],
            'said' => self::said($shared),
        ];
    }

    /**
     * @param  PlanZoneJson  $zone
     * @return value-of<SharedPlanJson['zones']>
     */
    private static function zone(array $zone): array
    {
        $outcomes = (array) ($zone['sequence']['outcomes'] ?? []);

        return [
            'number' => $zone['number'],
            'name' => $zone['name'],
            'words' => $zone['sequence']['words'] ?? '',
            'errorOnPaper' => $zone['sequence']['errorOnPaper'] ?? null,
            'shades' => array_map(
                static fn (array $s): array => [
                    'name' => $s['name'],
                    'seen' => $s['seen']['hex'],
                    'comes' => $outcomes[$s['shade']]['hex'] ?? null,
                ],
                $zone['shades'],
            ),
        ];
    }

    /** @return array{photo: ?int, note: string, at: ?int} */
    private static function said(SharedPlan $shared): array
    {
        return ['photo' => $shared->wanted_photo_id, 'note' => $shared->note, 'at' => $shared->noted_at];
    }
}
