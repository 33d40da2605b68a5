<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Medium\Stack\Steadiness;

/** What an ordinary hand does to a pass, estimated from single passes on bare paper; {@see Steadiness} works it out in full. */
final class HandSway
{
    /**
     * A hand so heavy that it presses its firm pressures alike still lays more or less of them: no flatter than this share of the film for
     * each unit of pressure.
     */
    private const FLATTEST = 0.25;

    /**
     * The pressure that stands for one deviation of a pass's film, by pressure: what pressure and laydown make of it together; up where it
     * is laid lightly, down where firmly.
     *
     * @return list<float>
     */
    public static function pressures(Moves $moves): array
    {
        $errings = [];
        foreach ($moves->bareFilm as $pressure => $film) {
            $up = min(Moves::PRESSURES - 1, $pressure + 1);
            $down = max(0, $pressure - 1);
            $slope = max(
                self::FLATTEST * $film,
                ($moves->bareFilm[$up] - $moves->bareFilm[$down]) / ($moves->pressures[$up] - $moves->pressures[$down]),
            );
            $by = $moves->paper->hand->spread * hypot(Steadiness::PRESSURE_DEVIATION, (Steadiness::LAYDOWN_DEVIATION * $film) / $slope);
            $errings[] = $moves->pressures[$pressure] + ($pressure > 2 ? -$by : $by);
        }

        return $errings;
    }

    /**
     * Squared ΔE00 that a hand sways each move by on bare paper: how its look changes from the pressure below to the one above, by what a
     * hand errs.
     *
     * @return list<float>
     */
    public static function ofMoves(Moves $moves, Atlas $atlas, LocalMetric $metric): array
    {
        $errs = self::pressures($moves);
        $sways = [];
        for ($move = 0; $move < $atlas->size; $move++) {
            $pressure = $move % Moves::PRESSURES;
            $up = $pressure < Moves::PRESSURES - 1 ? 1 : 0;
            $down = $pressure > 0 ? 1 : 0;
            $by =
                abs($errs[$pressure] - $moves->pressures[$pressure]) /
                ($moves->pressures[$pressure + $up] - $moves->pressures[$pressure - $down]);
            $change = array_map(
                static fn (array $density): float => $by * ($density[$move + $up] - $density[$move - $down]),
                $atlas->densities,
            );
            [$x, $y, $z] = $metric->stretch([$change[0], $change[1], $change[2]]);
            $sways[] = $x * $x + $y * $y + $z * $z;
        }

        return $sways;
    }
}
