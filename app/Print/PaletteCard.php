<?php

declare(strict_types=1);

namespace App\Print;

use App\Resources\RecipeResource;
use KnottyPrism\Core\Recipe\Recipe;

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

    /** @param  list<array{name: string, recipe: Recipe}>  $recipes */
    public function pdf(string $study, string $paper, array $recipes, string $size): string
    {
        [$width, $height] = PdfPage::SIZES[$size];

        return PdfPage::of('cards.palette', [
            'study' => $study,
            'paper' => $paper,
            'columns' => self::columns(array_map(self::shown(...), $recipes)),
            ...self::fit($recipes, $width, $height),
            'margin' => self::MARGIN_MM,
            'count' => count($recipes),
        ], $size);
    }

    /**
     * @param  array{name: string, recipe: Recipe}  $chosen
     * @return array<string, mixed>
     */
    private static function shown(array $chosen): array
    {
        $recipe = $chosen['recipe'];
        $target = RecipeResource::reading($recipe->target);

        return [
            'name' => $chosen['name'],
            'words' => $target['words'],
            'closeness' => $recipe->comparison->words(),
            'target' => DabPicture::flat((string) $target['hex'], 8, 8),
            'passes' => array_map(static fn (array $pass): array => [...$pass, 'dab' => DabPicture::ofStrata($pass['strata'], 180, 84)], RecipeResource::passes($recipe->prediction)),
            'cautions' => $recipe->cautions,
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
     * @param  list<array{name: string, recipe: Recipe}>  $recipes
     * @return array{scale: float, stretch: float}
     */
    private static function fit(array $recipes, float $width, float $height): array
    {
        $rows = array_sum(array_map(static fn (array $r): int => count($r['recipe']->stack->steps) + 3, $recipes)) / 2 + 3;
        $byHeight = ($height - 2 * self::MARGIN_MM - 16) / (self::ROW_MM * max(1, $rows));
        $scale = max(self::LEAST_SCALE, min(1.0, $byHeight, ($width - 2 * self::MARGIN_MM) / self::FULL_WIDTH_MM));

        return ['scale' => $scale, 'stretch' => max(1.0, min(self::MOST_STRETCH, 0.92 * $byHeight / $scale))];
    }
}
