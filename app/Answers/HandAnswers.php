<?php

declare(strict_types=1);

namespace App\Answers;

use App\Cache\Computed;
use App\Drawers\DrawerKeeper;
use App\Hands\HandKeeper;
use App\Models\HandVersion;
use App\Models\User;
use App\Plans\AskedStrips;
use App\Plans\StripSheet;
use App\Resources\HandResource;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Strips\Strip;
use KnottyPrism\Core\Recipe\NextMove\AsItLies;
use KnottyPrism\Core\Recipe\NextMove\FindNextMove;

/**
 * What is known of an artist's hand on a paper, how it can be learned, and what its strips say.
 *
 * @phpstan-import-type HandJson from \Described
 * @phpstan-import-type StripCameJson from \Described
 */
final class HandAnswers
{
    private const KEPT_SECONDS = 30 * 24 * 3600;

    /** Strips of the last time that a next move is told for. */
    private const TOLD = 16;

    public function __construct(
        private readonly HandKeeper $hands,
        private readonly StripSheet $sheet,
        private readonly DrawerKeeper $drawers,
    ) {
    }

    /** @return HandJson */
    public function hand(User $user, string $paper, AskedStrips $asked): array
    {
        $inUse = $this->hands->inUse($user, $paper);
        $even = PaperShelf::named($paper);

        return [
            'paper' => $paper,
            'hand' => $inUse === null
                    ? null
                    : [
                        'number' => $inUse->number,
                        'words' => $inUse->words,
                        'strips' => count($inUse->strips),
                        ...HandResource::figures($inUse->hand()),
                        'rmsBeforeDeltaE00' => round($inUse->rms_before, 1),
                        'rmsAfterDeltaE00' => round($inUse->rms_after, 1),
                    ],
            'versions' => array_map(
                static fn (HandVersion $v): array => [
                    'number' => $v->number,
                    'words' => $v->words,
                    'strips' => count($v->strips),
                    'made' => $v->created_at->toIso8601String(),
                    'inUse' => $v->in_use,
                ],
                $this->hands->versions($user, $paper),
            ),
            'strips' => array_values(
                array_map(static fn (Stack $s): array => HandResource::asked($s, $even), $this->sheet->strips($user, $asked)),
            ),
            'came' => $inUse === null ? [] : $this->came($user, $inUse),
        ];
    }

    /**
     * Tries of one strip as one, at the mean of what they came to.
     *
     * @param  list<Strip>  $strips
     * @return list<Strip>
     */
    private static function together(array $strips): array
    {
        $tries = [];
        foreach ($strips as $strip) {
            $tries[$strip->stack->text()][] = $strip;
        }

        return array_values(
            array_map(static function (array $of): Strip {
                $mean = static fn (string $axis): float => array_sum(array_map(static fn (Strip $s): float => $s->found->{$axis}, $of)) /
                    count($of);

                return new Strip($of[0]->stack, new Lab($mean('l'), $mean('a'), $mean('b')));
            }, $tries),
        );
    }

    /** @return list<StripCameJson> */
    private function came(User $user, HandVersion $version): array
    {
        $drawer = $this->drawers->drawerOf($user);
        $strips = self::together(array_slice($this->hands->earlier($version, $this->drawers->shelfOf($user)), 0, self::TOLD));
        $key =
            'strips-came/'.
            md5(
                json_encode(
                    [$this->drawers->fingerprint($user), $version->paper, array_slice($version->strips, 0, self::TOLD)],
                    JSON_THROW_ON_ERROR,
                ),
            );

        return Computed::kept($key, self::KEPT_SECONDS, static function () use ($strips, $drawer, $version): array {
            $paper = PaperShelf::named($version->paper);

            return array_map(static function (Strip $strip) use ($drawer, $paper): array {
                $meant = Lab::ofXyz($strip->stack->on($paper)->xyz());

                return HandResource::came(
                    $strip,
                    FindNextMove::on(AsItLies::of($strip->stack, $strip->found, $paper), $meant, $drawer->usable()->pencils),
                );
            }, $strips);
        });
    }
}
