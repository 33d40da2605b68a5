<?php

declare(strict_types=1);

namespace App\Print;

use App\Resources\RecipeResource;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Warnings\Warning;
use KnottyPrism\Core\Recipe\Warnings\Warnings;

/**
 * The palette card: for every chosen recipe its passes from the paper up, each with number, name, pressure, the expected dab and
 * an empty box to dab in. One page; the type grows smaller and the columns more as recipes are added.
 */
final class PaletteCard
{
    private const MARGIN_MM = 9.0;

    /** Rows of a card are measured in units of this height at full size. */
    private const ROW_MM = 8.4;

    /** Width of the printed part at full size. */
    private const FULL_WIDTH_MM = 192.0;

    private const MOST_STRETCH = 1.5;

    /** Below this share of full size a card can't be read at the desk any more; then it takes a second page. */
    private const LEAST_SCALE = 0.5;

    /** @param  list<array{name: string, outcome: Outcome}>  $chosen */
    public function pdf(string $study, string $paper, array $chosen, string $size): string
    {
        [$width, $height] = PdfPage::SIZES[$size];

        return PdfPage::of(
            'cards.palette',
            [
                'study' => $study,
                'paper' => $paper,
                'columns' => self::columns(array_map(self::shown(...), $chosen)),
                ...self::fit($chosen, $width, $height),
                'margin' => self::MARGIN_MM,
                'count' => count($chosen),
            ],
            $size,
        );
    }

    /**
     * @param  array{name: string, outcome: Outcome}  $chosen
     * @return array<string, mixed>
     */
    private static function shown(array $chosen): array
    {
        $outcome = $chosen['outcome'];
        $target = RecipeResource::reading($outcome->shade->target);

        return [
            'name' => $chosen['name'],
            'words' => $target['words'],
            'closeness' => $outcome->comparison()->words(),
            'target' => DabPicture::flat((string) $target['hex'], 8, 8),
            'passes' => array_map(
                static fn (array $pass): array => [...$pass, 'dab' => DabPicture::ofStrata($pass['strata'], 180, 84)],
                SequenceResource::steps($outcome->laid),
            ),
            'warnings' => array_map(static fn (Warning $w): string => "$w->text $w->remedy", Warnings::of($outcome)),
        ];
    }

    /**
     * Two columns of about equal length, read downward.
     *
     * @param  list<array<string, mixed>>  $recipes
     * @return list<list<array<string, mixed>>>
     */
    private static function columns(array $recipes): array
    {
        $rows = array_map(static fn (array $r): int => count($r['passes']) + 2, $recipes);
        $columns = [[], []];
        $sum = 0;
        foreach ($recipes as $i => $recipe) {
            $columns[$sum + $rows[$i] / 2 <= array_sum($rows) / 2 ? 0 : 1][] = $recipe;
            $sum += $rows[$i];
        }

        return $columns;
    }

    /**
     * How large everything is printed, and how much taller than that the dabs may be where the page has room.
     *
     * @param  list<array{name: string, outcome: Outcome}>  $chosen
     * @return array{scale: float, stretch: float}
     */
    private static function fit(array $chosen, float $width, float $height): array
    {
        $rows = array_sum(array_map(static fn (array $c): int => count($c['outcome']->stack()->steps) + 3, $chosen)) / 2 + 3;
        $byHeight = ($height - 2 * self::MARGIN_MM - 16) / (self::ROW_MM * max(1, $rows));
        $scale = max(self::LEAST_SCALE, min(1.0, $byHeight, ($width - 2 * self::MARGIN_MM) / self::FULL_WIDTH_MM));

        return ['scale' => $scale, 'stretch' => max(1.0, min(self::MOST_STRETCH, (0.92 * $byHeight) / $scale))];
    }
}
