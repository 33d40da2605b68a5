<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Photo\Borders\AcrossBorder;
use KnottyPrism\Core\Photo\Borders\BorderKind;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Grid\Outlines;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Two touching zones that end so alike along their border that a drawing would run them together, and which of the two to push which
 * way. Looked at where they meet: a zone that is light on the whole may well be dark there. Where the photo has no edge either, they grade
 * into each other, and nothing is lost.
 */
final readonly class Neighbours
{
    /** Value steps of 9, and ΔE00, within which an edge is lost. */
    private const ONE_STEP = 1.0;

    private const TOLD_APART = 12.0;

    /** Pixels to either side of the border that are looked at. */
    private const DEPTH = 3;

    /** ΔE00 from one pixel to the next across a border below which the photo is soft there. */
    private const SOFT = 4.0;

    /** A border shorter than this share of the picture's width is a touch, not an edge. */
    private const LEAST_BORDER = 0.05;

    /** L* beyond which there is no room left to push lighter or darker. */
    private const ROOM = [14.0, 88.0];

    /**
     * @param  list<list<float>>  $lines  the border, each x, y, x, y, … as shares
     * @param  int  $push  which of the two
     * @param  bool  $lighter  which way
     */
    private function __construct(
        public int $one,
        public int $other,
        public float $stepsApart,
        public array $lines,
        public int $push,
        public bool $lighter,
        public string $words,
    ) {
    }

    /** @return list<self> the longest border first */
    public static function tooAlike(ZoneSheet $sheet, PixelGrid $grid, Outlines $outlines): array
    {
        $scale = new ValueScale();
        $smooth = $grid->smoothed();
        $found = [];
        foreach (array_keys($sheet->notes) as $one) {
            foreach ($outlines->shared($one) as $other => $length) {
                if ($other <= $one || $length < self::LEAST_BORDER * $sheet->labels->width) {
                    continue;
                }
                [$near, $beyond] = $outlines->alongside($one, $other, self::DEPTH);
                if ($near === [] || $beyond === []) {
                    continue;
                }
                [$here, $there] = [$grid->mean($near), $grid->mean($beyond)];
                $steps = $scale->difference($here, $there);
                if (
                    abs($steps) < self::ONE_STEP &&
                    $here->deltaE00($there) < self::TOLD_APART &&
                    ! self::meetSoftly($sheet, $smooth, $outlines, $one, $other)
                ) {
                    $found[] = [$length, self::advised($sheet, $one, $other, $here, $there, $outlines->between($one, $other))];
                }
            }
        }
        usort($found, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_column($found, 1);
    }

    /** As the artist says, and else as the photo has it. */
    private static function meetSoftly(ZoneSheet $sheet, PixelGrid $smooth, Outlines $outlines, int $one, int $other): bool
    {
        return match ($sheet->borders->of($one, $other)) {
            BorderKind::Grades => true,
            BorderKind::Sharp => false,
            null => self::isSoft($sheet->labels, $smooth, $outlines, $one, $other),
        };
    }

    /** Whether the photo is soft along most of a border: what grades there, or nearly, is one thing in two zones, and no edge is lost. */
    private static function isSoft(LabelGrid $labels, PixelGrid $smooth, Outlines $outlines, int $one, int $other): bool
    {
        $soft = 0;
        foreach ($outlines->stretches($one, $other) as $edges) {
            foreach (AcrossBorder::along($edges, $one, $other, $labels, $smooth) as $across) {
                $soft += $across->steepest() < self::SOFT ? 1 : -1;
            }
        }

        return $soft > 0;
    }

    /** @param  list<list<float>>  $lines */
    private static function advised(ZoneSheet $sheet, int $one, int $other, Lab $here, Lab $there, array $lines): self
    {
        [$push, $lighter, $why] = self::push($sheet, $one, $other, $here, $there);
        $steps = (new ValueScale())->difference($here, $there);
        $words = sprintf(
            '"%s" and "%s" meet %s: push "%s" %s along this edge%s.',
            $sheet->note($one)->name,
            $sheet->note($other)->name,
            abs($steps) < 0.25 ? 'at the same value' : (abs($steps) < 0.75 ? 'half a value step apart' : 'within a value step'),
            $sheet->note($push)->name,
            $lighter ? 'lighter' : 'darker',
            $why,
        );

        return new self($one, $other, $steps, $lines, $push, $lighter, $words);
    }

    /** @return array{int, bool, string} which zone, whether lighter, and why */
    private static function push(ZoneSheet $sheet, int $one, int $other, Lab $here, Lab $there): array
    {
        [$a, $b] = [$sheet->note($one), $sheet->note($other)];
        if (($a->distance === Distance::Far) !== ($b->distance === Distance::Far)) {
            $far = $a->distance === Distance::Far ? $one : $other;
            $l = $far === $one ? $here->l : $there->l;
            if ($l <= self::ROOM[1]) {
                return [$far, true, ', as what is far is lighter'];
            }
        }
        if ($a->importance !== $b->importance) {
            $push = $a->importance->weight() < $b->importance->weight() ? $one : $other;

            return [$push, self::isLighter($push === $one ? $here : $there, $push === $one ? $there : $here), ', as it matters less'];
        }
        // The darker one goes darker, as pencil is easier added than lifted, while there is room below.
        $darker = $here->l <= $there->l ? $one : $other;
        if (min($here->l, $there->l) >= self::ROOM[0] + 12) {
            return [$darker, false, ''];
        }

        return [$darker === $one ? $other : $one, true, ''];
    }

    /** Whether a zone moves away from its neighbour by going lighter. */
    private static function isLighter(Lab $own, Lab $neighbour): bool
    {
        return ($own->l > $neighbour->l && $own->l <= self::ROOM[1]) || $own->l < self::ROOM[0] + 12;
    }
}
