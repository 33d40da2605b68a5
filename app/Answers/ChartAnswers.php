<?php

declare(strict_types=1);

namespace App\Answers;

use App\Cache\Computed;
use App\Drawers\DrawerKeeper;
use App\Hands\HandKeeper;
use App\Models\Study;
use App\Models\User;
use App\Plans\PlannedPictures;
use App\Resources\ChartResource;
use App\Resources\Figures;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Drawer\DrawerOrder;
use KnottyPrism\Core\Drawer\Equivalents;
use KnottyPrism\Core\Drawer\MixedOrder;
use KnottyPrism\Core\Drawer\MixingChart;
use KnottyPrism\Core\Drawer\Purchase;
use KnottyPrism\Core\Drawer\Reach\ReachSurvey;
use KnottyPrism\Core\Drawer\TrayMap;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Picture\Palette\MadeArea;
use KnottyPrism\Core\Picture\Palette\Purchases;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Substitute;

/**
 * What is worked out of a whole drawer: its reach and what to buy, lines side by side, mixes in place of a pencil, mixing charts and maps.
 *
 * @phpstan-import-type DrawerReachJson from \Described
 * @phpstan-import-type LineTableJson from \Described
 * @phpstan-import-type MixingChartJson from \Described
 * @phpstan-import-type StandInJson from \Described
 * @phpstan-import-type StudyPurchasesJson from \Described
 */
final class ChartAnswers
{
    private const KEPT_SECONDS = 30 * 24 * 3600;

    private const PURCHASES = 3;

    public function __construct(
        private readonly DrawerKeeper $drawers,
        private readonly AtlasShelf $atlases,
        private readonly PlannedPictures $pictures,
        private readonly HandKeeper $hands,
    ) {
    }

    /** @return DrawerReachJson what is reached of all that the known pencils reach, and the pencils that would add most */
    public function reach(User $user, string $paper): array
    {
        $on = $this->hands->paper($user, $paper);

        return $this->kept('reach/'.$on->key(), $user, function () use ($user, $paper, $on): array {
            $survey = new ReachSurvey($this->colours($user), $on);

            return [
                'paper' => $paper,
                'share' => Figures::share($survey->share()),
                'outline' => array_map(Figures::difference(...), $survey->owned->outline()),
                'outlineOfAll' => array_map(Figures::difference(...), $survey->all->outline()),
                'purchases' => array_map(
                    static fn (Purchase $p): array => [...ChartResource::pencil($p->pencil), 'gain' => Figures::share($p->gain)],
                    $survey->purchases,
                ),
            ];
        });
    }

    /**
     * @return StudyPurchasesJson the pencils that would bring a study's planned colours nearest: its picture's, or else those chosen one
     *   by one
     */
    public function purchasesFor(User $user, Study $study): array
    {
        $shelf = $this->drawers->shelfOf($user);
        $paper = $this->hands->paper($user, $study->paper);
        $made = $this->pictures->made($user, $study);
        foreach ($made === [] ? $study->keptRecipes()->get() : [] as $entry) {
            try {
                $stack = StackText::read($entry->stack, $shelf);
            } catch (UnknownPencil) {
                continue;
            }
            $made[] = MadeArea::ofColour($entry->target(), $stack, $paper);
        }
        $key = 'purchases/'.$paper->key().'/'.md5(implode(',', array_map(static fn (MadeArea $m): string => $m->key(), $made)));

        $purchases = $this->kept(
            $key,
            $user,
            static fn (): array => array_map(
                static fn (Purchase $p): array => [...ChartResource::pencil($p->pencil), 'deltaE00' => Figures::difference($p->gain)],
                Purchases::for($made, $shelf->missing(), $paper, self::PURCHASES),
            ),
        );

        $seen = self::seen($made);

        return [
            'study' => $study->name,
            'colours' => count($seen),
            'seen' => $seen,
            'purchases' => $purchases,
        ];
    }

    /**
     * @param  list<MadeArea>  $made
     * @return StudyPurchasesJson['seen'] the photo's colours that are worked
     */
    private static function seen(array $made): array
    {
        $shades = array_merge(...array_map(static fn (MadeArea $m): array => $m->answer->shades(), $made));

        return array_map(
            static fn (Shade $s): array => [
                'hex' => (string) Figures::colour($s->seen)['hex'],
                'chroma' => Figures::difference($s->seen->chroma()),
                'hueDegrees' => Figures::difference($s->seen->hueDegrees()),
            ],
            array_values($shades),
        );
    }

    /** @return LineTableJson for every pencil of a line the nearest of another */
    public function equivalents(User $user, string $from, string $to): array
    {
        return $this->kept("equivalents/$from/$to", $user, function () use ($user, $from, $to): array {
            $of = fn (string $line): array => array_values(
                array_filter($this->drawers->shelfOf($user)->pencils, static fn (Pencil $p): bool => $p->record->line === $line),
            );

            return [
                'from' => $from,
                'to' => $to,
                'rows' => array_map(ChartResource::equivalent(...), Equivalents::table($of($from), $of($to))),
            ];
        });
    }

    /** @return StandInJson what stands in for a pencil: the nearest owned one, and mixes of owned ones */
    public function mix(User $user, string $id, string $paper): array
    {
        $on = $this->hands->paper($user, $paper);

        return $this->kept("mix/$id/".$on->key(), $user, function () use ($user, $id, $on): array {
            $shelf = $this->drawers->shelfOf($user);
            $mix = Substitute::for($shelf->pencil($id), $shelf, $on, $this->atlases);

            return [
                'nearest' => [
                    ...ChartResource::pencil($mix->nearest),
                    'heavyDeltaE00' => Figures::difference($mix->nearestHeavy),
                    'lightDeltaE00' => Figures::difference($mix->nearestLight),
                ],
                'heavy' => SequenceResource::recipe($mix->heavy, $on),
                'light' => SequenceResource::recipe($mix->light, $on),
            ];
        });
    }

    /**
     * @param  list<string>  $ids
     * @return MixingChartJson every two over each other, or with three pencils and no second pressure every order of them
     */
    public function chart(User $user, array $ids, string $paper, Pressure $beneath, Pressure $above): array
    {
        $shelf = $this->drawers->shelfOf($user);
        $pencils = array_map($shelf->pencil(...), $ids);
        $on = $this->hands->paper($user, $paper);

        return [
            'paper' => $paper,
            'beneath' => $beneath->value,
            'above' => $above->value,
            'pressures' => array_column(Pressure::cases(), 'value'),
            'pencils' => array_map(ChartResource::pencil(...), $pencils),
            'pairs' => array_map(
                static fn (array $row): array => array_map(ChartResource::sheet(...), $row),
                MixingChart::pairs($pencils, $on, $beneath, $above),
            ),
            'orders' => count($pencils) !== 3
                    ? []
                    : array_map(
                        static fn (MixedOrder $o): array => [
                            'numbers' => array_map(static fn (Pencil $p): string => $p->record->number, $o->pencils),
                            ...ChartResource::sheet($o->sheet),
                        ],
                        MixingChart::orders($pencils, $on, $above),
                    ),
        ];
    }

    public function map(User $user, string $order, int $rows, int $slots): TrayMap
    {
        $owned = array_values(array_filter($this->colours($user), static fn (Pencil $p): bool => $p->record->owned));

        return new TrayMap(DrawerOrder::of($owned, $order), $rows, $slots);
    }

    /** @return list<Pencil> all that lay colour, owned or not */
    private function colours(User $user): array
    {
        return array_values(array_filter($this->drawers->shelfOf($user)->pencils, static fn (Pencil $p): bool => ! $p->isBlender()));
    }

    /**
     * @template T of array
     *
     * @param  \Closure(): T  $work
     * @return T
     */
    private function kept(string $what, User $user, \Closure $work): array
    {
        return Computed::kept(
            implode('/', ['chart', md5($what), $this->drawers->fingerprint($user, owned: false)]),
            self::KEPT_SECONDS,
            $work,
        );
    }
}
