<?php

declare(strict_types=1);

namespace App\Answers;

use App\Cache\Computed;
use App\Drawers\DrawerKeeper;
use App\Hands\HandKeeper;
use App\Models\User;
use App\Resources\ChartResource;
use App\Resources\DrawerResource;
use App\Resources\RecipeResource;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Colour\Family;
use KnottyPrism\Core\Drawer\Balance;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Drawer\DrawerOrder;
use KnottyPrism\Core\Drawer\Equivalent;
use KnottyPrism\Core\Drawer\Equivalents;
use KnottyPrism\Core\Drawer\Portrait;
use KnottyPrism\Core\Drawer\Selection;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Drawer\Stock\StockNote;
use KnottyPrism\Core\Drawer\Three;
use KnottyPrism\Core\Drawer\Threes;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\LaidStack;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Swatches\Swatch;
use KnottyPrism\Core\Recipe\Complements\Complement;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;

/**
 * An account's drawer as it lies, and each pencil in it, worked out once for every state of the drawer.
 *
 * @phpstan-import-type PartnerJson from \Described
 * @phpstan-import-type PencilLooksJson from \Described
 * @phpstan-import-type PencilPortraitJson from \Described
 * @phpstan-import-type TrayJson from \Described
 */
final class DrawerAnswers
{
    private const KEPT_SECONDS = 30 * 24 * 3600;

    /** More pencils than this at once are no drawer that one looks at; a line is chosen, or a number looked for. */
    private const MOST_LAID = 400;

    /** Coats of a ladder. */
    private const COATS = 6;

    private const NEAREST = 3;

    /** Pencils that one is compared with: of thousands the nearest of others, and of those available such as stand for all. */
    private const COMPARED = 150;

    private const AVAILABLE = 120;

    public function __construct(private readonly DrawerKeeper $drawers, private readonly HandKeeper $hands)
    {
    }

    /**
     * The pencils available, or those wanted, or with a line's name all of that line, owned or not; each with what is noted of its stock
     * now.
     *
     * @return TrayJson
     */
    public function tray(User $user, string $order, ?string $line = null, bool $wanted = false): array
    {
        // Counted first: what is fitted while the tray is laid is not in it yet, and must be asked for again.
        $unfitted = $this->drawers->unfitted($user);
        $notes = $this->drawers->stock($user);
        $wish = $wanted ? array_keys(array_filter($notes, static fn (StockNote $n): bool => $n->state === Stock::Wanted)) : null;
        $tray = Computed::kept(
            $this->key('tray', $user, $order, $line ?? '*owned', json_encode($wish, JSON_THROW_ON_ERROR)),
            self::KEPT_SECONDS,
            function () use ($user, $order, $line, $wish): array {
                $from =
                    $line === null && $wish === null
                        ? $this->drawers->drawerOf($user)->pencils
                        : array_filter(
                            $this->drawers->shelfOf($user)->pencils,
                            static fn (Pencil $p): bool => $wish === null ? $p->record->line === $line : in_array($p->id(), $wish, true),
                        );
                $laid = DrawerOrder::of(
                    array_slice(array_values(array_filter($from, static fn (Pencil $p): bool => ! $p->isBlender())), 0, self::MOST_LAID),
                    $order,
                );
                $drawer = DrawerResource::drawer($laid, new Balance($laid->portraits));

                return [
                    'order' => $order,
                    'pencils' => array_map(
                        static fn (Portrait $p): array => [
                            ...RecipeResource::pencil($p->pencil),
                            'reading' => RecipeResource::reading($p->heavy),
                            'strata' => self::strata($p->pencil, Swatch::Heavy),
                            'lightStrata' => self::strata($p->pencil, Swatch::Light),
                        ],
                        $laid->portraits,
                    ),
                    'notShown' => max(0, count($from) - self::MOST_LAID),
                    'meanStepDeltaE00' => $drawer['meanStepDeltaE00'],
                    'largestStep' => $drawer['largestStep'],
                    'balance' => $drawer['balance'],
                    'gaps' => $drawer['gaps'],
                ];
            },
        );
        $stock = [];
        foreach ($notes as $id => $note) {
            $stock[$id] = DrawerResource::stock($note);
        }

        return [
            ...$tray,
            'pencils' => array_map(
                static fn (array $p): array => [...$p, 'stock' => $stock[$p['id']] ?? DrawerResource::stock(new StockNote())],
                $tray['pencils'],
            ),
            'unfitted' => $unfitted,
        ];
    }

    /**
     * One pencil, owned or not, on a paper.
     *
     * @param  \Closure(string): PencilPortraitJson['worn']  $worn  what the log says of a pencil
     * @return PencilPortraitJson
     */
    public function pencil(User $user, string $id, string $paper, \Closure $worn): array
    {
        $shelf = $this->drawers->shelfOf($user);
        $pencil = $shelf->pencil($id);

        $on = $this->hands->paper($user, $paper);
        $shown = Computed::kept(
            $this->key('pencil', $user, $pencil->id(), $on->key()),
            self::KEPT_SECONDS,
            static fn (): array => self::portrayed($shelf, $pencil, $on),
        );
        $row = $this->drawers->row($user, $pencil->id());

        return [
            ...$shown,
            'stock' => DrawerResource::stock($row->stockNote()),
            'usedMm' => round((float) $row->uses()->sum('millimetres'), 1),
            'usedTimes' => $row->uses()->count(),
            'worn' => $worn($pencil->id()),
        ];
    }

    /** @return PencilLooksJson what follows from the pencil, those beside it and the paper alone */
    private static function portrayed(Drawer $shelf, Pencil $pencil, Paper $on): array
    {
        $portrait = new Portrait($pencil);
        $others = array_values(
            array_filter($shelf->pencils, static fn (Pencil $p): bool => ! $p->isBlender() && $p->id() !== $pencil->id()),
        );
        // In its place stands a pencil of another line; where there is no other, one of its own.
        $elsewhere = array_values(array_filter($others, static fn (Pencil $p): bool => $p->record->line !== $pencil->record->line));
        $mine = Selection::spread(
            array_values(array_filter($others, static fn (Pencil $p): bool => $p->record->owned)),
            self::AVAILABLE,
        );
        $table = new ComplementTable([...$mine, $pencil], $on);
        $standsOut = $table->standsOutBy($pencil);

        return [
            ...RecipeResource::pencil($pencil),
            'owned' => $pencil->record->owned,
            'reading' => RecipeResource::reading($portrait->heavy),
            'families' => Family::besides($portrait->heavy),
            'hiding' => round($portrait->hiding(), 3),
            'hidingWords' => $portrait->hidingWords(),
            'undertone' => $portrait->undertone(),
            'swatches' => [
                'heavy' => self::strata($pencil, Swatch::Heavy),
                'light' => self::strata($pencil, Swatch::Light),
                'overBlack' => self::strata($pencil, Swatch::OverBlack),
            ],
            'ladder' => array_map(
                static fn (Pressure $pressure): array => [
                    'pressureWord' => $pressure->value,
                    'pressureStrokes' => $pressure->strokes(),
                    'coats' => SequenceResource::steps(
                        LaidStack::of(new Stack(array_fill(0, self::COATS, new Pass($pencil, $pressure->share()))), $on),
                    ),
                ],
                Pressure::cases(),
            ),
            'neutralisers' => array_map(
                static fn (Complement $c): array => self::complement($c, $on),
                $table->neutralisersOf($pencil),
            ),
            'darkener' => ($darkener = $table->darkenerOf($pencil)) === null ? null : self::complement($darkener, $on),
            'brightener' => ($brightener = $table->brightenerOf($pencil)) === null ? null : self::complement($brightener, $on),
            'standsOutBy' => $standsOut === null ? null : RecipeResource::pencil($standsOut),
            'nearest' => array_map(
                static fn (Equivalent $e): array => [
                    'pencil' => RecipeResource::pencil($e->portrait->pencil),
                    'strata' => self::strata($e->portrait->pencil, Swatch::Heavy),
                    'owned' => $e->portrait->pencil->record->owned,
                    'heavyDeltaE00' => round($e->heavy, 1),
                    'lightDeltaE00' => round($e->light, 1),
                    'near' => $e->isNear(),
                ],
                Equivalents::of(
                    $portrait,
                    self::portraits(Selection::near($pencil, $elsewhere === [] ? $others : $elsewhere, self::COMPARED)),
                    self::NEAREST,
                ),
            ),
            'threes' => array_map(
                static fn (Three $t): array => [
                    'light' => RecipeResource::pencil($t->light->pencil),
                    'dark' => RecipeResource::pencil($t->dark->pencil),
                ],
                Threes::around($portrait, self::portraits($mine), 2),
            ),
            'ring' => [
                'families' => Family::ring(),
                'place' => $portrait->reading->family->ringPlace(),
                'words' => $portrait->reading->family->words(),
            ],
        ];
    }

    /**
     * @param  list<Pencil>  $pencils
     * @return list<Portrait>
     */
    private static function portraits(array $pencils): array
    {
        return array_map(static fn (Pencil $p): Portrait => new Portrait($p), $pencils);
    }

    /** @return PartnerJson */
    private static function complement(Complement $c, Paper $paper): array
    {
        return [
            'pencil' => RecipeResource::pencil($c->pencil),
            'words' => RecipeResource::reading($c->mix)['words'],
            'strata' => $c->stack->on($paper)->dab(),
        ];
    }

    /** @return list<string> colour of each stratum, peaks first */
    private static function strata(Pencil $pencil, Swatch $swatch): array
    {
        return ChartResource::strata($swatch->lay($pencil));
    }

    private function key(string $what, User $user, string ...$more): string
    {
        return implode('/', [
            'drawer',
            $what,
            $this->drawers->fingerprint($user),
            $this->drawers->fingerprint($user, owned: false),
            md5(implode('/', $more)),
        ]);
    }
}
