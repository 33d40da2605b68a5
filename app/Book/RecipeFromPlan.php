<?php

declare(strict_types=1);

namespace App\Book;

use App\Desk\DeskBoard;
use App\Desk\DeskKeeper;
use App\Drawers\DrawerKeeper;
use App\Hands\HandKeeper;
use App\Models\KeptRecipe;
use App\Models\Photo;
use App\Models\Study;
use App\Models\User;
use App\Photos\PhotoStore;
use App\Photos\Raster;
use App\Plans\DrawingChecks;
use App\Plans\PlanGround;
use App\Plans\PlanRepository;
use KnottyPrism\Core\Book\Recipes\BookRecipe;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** Recipes for the book from what a study has: a zone's sequence, or what was kept for a spot. */
final class RecipeFromPlan
{
    /** Longer side of a cut-out, pixels. */
    private const CUTOUT = 160;

    public function __construct(
        private readonly PlanRepository $plans,
        private readonly PhotoStore $photos,
        private readonly DrawingChecks $checks,
        private readonly DrawerKeeper $drawers,
        private readonly HandKeeper $hands,
        private readonly DeskBoard $board,
        private readonly DeskKeeper $desk,
    ) {
    }

    /**
     * As it is planned; where something was laid already, as it lies and will be gone on with.
     *
     * @return array{BookRecipe, string, string, ?string} the recipe, what it is called, how it turned out where a photo of the drawing said
     *   so, and its place in the photo
     */
    public function zone(User $user, Study $study, int $number): array
    {
        $ground = $this->plans->ground($user, $study);
        $planned = $this->plans->zone($ground, $number);
        $sequence =
            $this->lies($ground, $study, $number) ??
            ($planned->sequence ?? throw ImpossibleChange::because('This zone is not planned yet: open “Plan”.'));
        $shades = array_map(
            static fn (Shade $s, int $i): Shade => $s
                ->aimedAt(Lab::ofXyz($sequence->stackIn($i)->on($ground->paper)->xyz()))
                ->weighing(max(1e-6, $s->weight)),
            $planned->shades,
            array_keys($planned->shades),
        );

        return [
            new BookRecipe($shades, SequenceNote::of($sequence, $planned->shades), new Drawer($sequence->pencils())),
            $this->plans->zoneName($study, $number) ?? '',
            $this->cameOut($study, $number),
            $this->cutout($ground, $number),
        ];
    }

    /** Null when nothing was ticked at the desk. */
    private function lies(PlanGround $ground, Study $study, int $zone): ?Sequence
    {
        $ticks = $this->desk->ticks($study);
        $there = $ticks === [] ? null : $this->board->zones($ground, $ticks)[$zone] ?? null;

        return $there === null || $there->laid === 0 ? null : $there->chain;
    }

    /** @return array{BookRecipe, string, string, ?string} the same */
    public function spot(User $user, Study $study, KeptRecipe $kept): array
    {
        $stack = StackText::read($kept->stack, $this->drawers->shelfOf($user));
        $lab = Lab::ofXyz($stack->on($this->hands->paper($user, $kept->paper))->xyz());
        $shades = [new Shade(ShadeName::Mid->value, $lab)];
        $photo = $study->photo();
        $side = max(40, 4 * $kept->ring);

        return [
            new BookRecipe($shades, SequenceNote::of(Sequence::ofStack($stack), $shades), new Drawer($stack->pencils())),
            $kept->name,
            '',
            $this->cut(
                $photo,
                ($kept->x - $side) / $photo->width,
                ($kept->y - $side) / $photo->height,
                (2 * $side) / $photo->width,
                (2 * $side) / $photo->height,
            ),
        ];
    }

    /** What the latest photo of the drawing says of a zone. */
    private function cameOut(Study $study, int $zone): string
    {
        $of = array_filter(
            array_merge(
                ...array_map(static fn ($row): array => $row->said['findings'] ?? [], array_slice($this->checks->of($study), 0, 1)),
            ),
            static fn (array $f): bool => $f['number'] === $zone,
        );
        $off = array_map(static fn (array $f): float => (float) $f['deltaE00'], $of);

        return $off === []
            ? ''
            : sprintf(
                'In the photo %.1f away from the prediction: %s.',
                array_sum($off) / count($off),
                lcfirst((string) array_values($of)[0]['words']),
            );
    }

    private function cutout(PlanGround $ground, int $number): ?string
    {
        $labels = $ground->zones->labels;
        [$left, $top, $right, $bottom] = [$labels->width, $labels->height, -1, -1];
        foreach ($labels->pixels()[$number] ?? [] as $at) {
            [$x, $y] = [$at % $labels->width, intdiv($at, $labels->width)];
            [$left, $top, $right, $bottom] = [min($left, $x), min($top, $y), max($right, $x), max($bottom, $y)];
        }

        return $right < 0
            ? null
            : $this->cut(
                $ground->study->photo(),
                $left / $labels->width,
                $top / $labels->height,
                ($right - $left + 1) / $labels->width,
                ($bottom - $top + 1) / $labels->height,
            );
    }

    /** A part of the photo, in shares of it, small; null when the photo can't be read. */
    private function cut(Photo $photo, float $left, float $top, float $width, float $height): ?string
    {
        return rescue(
            function () use ($photo, $left, $top, $width, $height): string {
                $screen = $this->photos->screen($photo);
                $image = new \Imagick();
                $image->readImageBlob(Raster::encoded($screen->width, $screen->height, 3, $screen->bytes, 'jpeg'));
                [$x, $y] = [(int) (max(0.0, $left) * $screen->width), (int) (max(0.0, $top) * $screen->height)];
                $image->cropImage(
                    max(1, min($screen->width - $x, (int) ceil($width * $screen->width))),
                    max(1, min($screen->height - $y, (int) ceil($height * $screen->height))),
                    $x,
                    $y,
                );
                $image->thumbnailImage(self::CUTOUT, self::CUTOUT, true);

                return base64_encode($image->getImageBlob());
            },
            null,
            false,
        );
    }
}
