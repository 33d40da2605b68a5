<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Laying;

use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Medium\Pencil\FilmTable;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/**
 * What happens when a pass is laid: one even coat of one pencil at one pressure.
 *
 * Contact, adhesion and the laid film follow docs/model.md, "One pass". The colour of the film is {@see FilmTable::over()}; what a firm
 * stroke takes up of what it goes over is {@see Drag}.
 */
final class LayPass
{
    /** How gradually contact fades with depth, in units of depth. */
    private const CONTACT_SOFTNESS = 0.09;

    /** Film lifts the floor of a valley toward the stroke by this much a unit. */
    private const FILL_LIFTS = 0.25;

    /** Film over which the surface takes on a pencil's slickness. */
    private const SLICK_FILM = 0.8;

    /** Below this pressure the tooth springs back. */
    private const CRUSH_FROM = 0.7;

    /** Shares of depth and of capacity that one pass at 1.00 crushes. */
    private const CRUSH_DEPTH = 0.25;

    private const CRUSH_CAPACITY = 0.10;

    /** Share of a stratum's capacity that strokes can pack: at no pressure, and what full pressure adds (by its cube). */
    private const PACKS = 0.50;

    private const PACKS_WITH_PRESSURE = 0.40;

    /**
     * @param  float  $pressure  0–1 as it is meant, trusted; the sheet's hand makes of it what it does
     * @param  float  $laydown  a factor on the laid film, for a hand that errs
     */
    public static function onto(Sheet $sheet, Pencil $pencil, float $pressure, float $laydown = 1.0): void
    {
        $hand = $sheet->paper->hand;
        $pressure = $hand->presses($pressure);
        $thickness = self::laidFilm($sheet, $pencil->laydown * $laydown * $hand->lays($pencil), $pressure);
        $toward = $pencil->slickness * $pressure ** 1.5;
        $dragged = Drag::share($sheet, $pencil, $pressure);
        if ($dragged > 0) {
            Drag::lay($sheet, $pencil, $pressure, $dragged, $thickness);
        } else {
            $sheet->beneath = $sheet->reflectance;
            $sheet->reflectance = $pencil->film->over($sheet->reflectance, $thickness);
            $sheet->deposits[] = new Deposit($pencil->a, $pencil->b, $pencil->scattering, $thickness, $pencil->laydown);
        }
        foreach ($thickness as $m => $t) {
            $sheet->fill[$m] += $t;
            $sheet->slick[$m] += ($toward - $sheet->slick[$m]) * (1 - exp(-$t / self::SLICK_FILM));
        }
        self::crush($sheet, $pressure);
    }

    /**
     * The film a pass would leave in each stratum, in film units, at a pressure as it comes out.
     *
     * @return array<int, float>
     */
    public static function laidFilm(Sheet $sheet, float $laydown, float $pressure): array
    {
        $contact = self::contact($sheet, $pressure);
        $offered = $laydown * (0.35 + 1.1 * $pressure ** 1.3);
        // A light hand can't press film as densely into the tooth as a firm one.
        $packed = min(1.0, $sheet->paper->hand->packing * (self::PACKS + self::PACKS_WITH_PRESSURE * $pressure ** 3));
        $laid = [];
        for ($m = 0; $m < Tooth::STRATA; $m++) {
            $fill = $sheet->fill[$m];
            $capacity = $sheet->capacity[$m];
            $adhesion = max(0.0, 1 - $fill / ($capacity * $packed)) * (1 - $sheet->slick[$m]);
            $laid[] = min($offered * $contact[$m] * $adhesion, max(0.0, $packed * $capacity - $fill));
        }

        return $laid;
    }

    /**
     * How fully a stroke touches each stratum, 0–1: a light hand touches only the peaks.
     *
     * @return array<int, float>
     */
    public static function contact(Sheet $sheet, float $pressure): array
    {
        $reach = 0.25 + 1.15 * $pressure;
        $softness = self::CONTACT_SOFTNESS * $sheet->paper->hand->contact;
        $contact = [];
        for ($m = 0; $m < Tooth::STRATA; $m++) {
            $below = max(0.0, $sheet->depth[$m] - self::FILL_LIFTS * $sheet->fill[$m]);
            $contact[] = 1 / (1 + exp(-($reach - $below) / $softness));
        }

        return $contact;
    }

    /** A firm stroke flattens the tooth for good: shallower valleys that hold less. Film already there is not squeezed out. */
    public static function crush(Sheet $sheet, float $pressure): void
    {
        if ($pressure <= self::CRUSH_FROM) {
            return;
        }
        $share = ($pressure - self::CRUSH_FROM) / (1 - self::CRUSH_FROM);
        foreach ($sheet->capacity as $m => $capacity) {
            $sheet->depth[$m] *= 1 - self::CRUSH_DEPTH * $share;
            $sheet->capacity[$m] = max($sheet->fill[$m], $capacity * (1 - self::CRUSH_CAPACITY * $share));
        }
    }
}
