<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Laying;

use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Medium\Pencil\Film;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/**
 * What a firm stroke does to the film it goes over: it ploughs up a share of the newest one and mixes it into its own. That is why
 * firm pressure, burnishing with a pale pencil above all, brings colours together and dulls them. docs/model.md, "One pass".
 */
final class Drag
{
    /** Below this pressure a stroke slides over what lies there; that of a hand which drags more, from so much the lighter on. */
    private const FROM = 0.6;

    /** Share of a soft wax's film that a stroke at 1.00 ploughs up where it touches fully. */
    private const MOST = 1 / 3;

    /** How it grows from there: slowly at first, or white over red would not turn pastel at firm pressure, as it does. */
    private const GROWS = 1.5;

    /** Laydown of the pencil whose film counts as soft wax: harder leads lay less and hold faster. */
    private const SOFT = 0.95;

    private const HARDEST = 0.4;

    private const SOFTEST = 1.25;

    /** Share of the newest film that a stroke takes up where it touches fully, 0–1; nothing of its own kind, as that changes nothing. */
    public static function share(Sheet $sheet, Pencil $pencil, float $pressure): float
    {
        $newest = $sheet->deposits[count($sheet->deposits) - 1] ?? null;
        $drag = $sheet->paper->hand->drag;
        $from = self::FROM / max(1.0, $drag);
        if ($pressure <= $from || $newest === null || $newest->a === $pencil->a) {
            return 0.0;
        }

        $share =
            $drag *
            self::MOST *
            (($pressure - $from) / (1 - $from)) ** self::GROWS *
            max(self::HARDEST, min(self::SOFTEST, $newest->laydown / self::SOFT));

        return min(1.0, $share);
    }

    /**
     * Lays a film that takes up some of the newest one: what was ploughed up joins it, in one proportion for the whole pass, and what
     * stays lies beneath. No film is lost.
     *
     * @param  float  $share  as {@see self::share()} has it, above 0
     * @param  array<int, float>  $thickness  the pass's own film, film units per stratum
     */
    public static function lay(Sheet $sheet, Pencil $pencil, float $pressure, float $share, array $thickness): void
    {
        $newest = array_pop($sheet->deposits) ?? throw new \LogicException('there is no film that a stroke could take up');
        $own = new Deposit($pencil->a, $pencil->b, $pencil->scattering, $thickness, $pencil->laydown);
        $contact = LayPass::contact($sheet, $pressure);
        $taken = $stays = $joined = [];
        foreach ($newest->thickness as $m => $film) {
            $taken[] = $share * $contact[$m] * $film;
            $stays[] = $film - $taken[$m];
            $joined[] = $thickness[$m] + $taken[$m];
        }
        $mixed = $own->mixedWith($newest, $own->total(), array_sum($taken), $joined);
        array_push($sheet->deposits, $newest->withThickness($stays), $mixed);
        $sheet->reflectance = $sheet->beneath;
        for ($m = 0; $m < Tooth::STRATA; $m++) {
            Film::lay($sheet->reflectance, $m * 36, $newest->a, $newest->b, $newest->scattering * $stays[$m]);
        }
        $sheet->beneath = $sheet->reflectance;
        for ($m = 0; $m < Tooth::STRATA; $m++) {
            Film::lay($sheet->reflectance, $m * 36, $mixed->a, $mixed->b, $mixed->scattering * $joined[$m]);
        }
    }
}
