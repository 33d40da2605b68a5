<?php

declare(strict_types=1);

namespace App\Answers;

use App\Cache\Computed;
use App\Drawers\DrawerKeeper;
use App\Hands\HandKeeper;
use App\Models\Photo;
use App\Models\Study;
use App\Models\User;
use App\Photos\PhotoStore;
use App\Photos\SpotReader;
use App\Photos\SurveyRepository;
use App\Photos\ZoneReader;
use App\Resources\Figures;
use App\Resources\RecipeResource;
use KnottyPrism\Core\Colour\Contrast;
use KnottyPrism\Core\Colour\Family;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Formats\SpotList;
use KnottyPrism\Core\Photo\Notes\NamedSpot;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Reading\PhotoComparison;
use KnottyPrism\Core\Photo\Viewing\ValuePlane;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;

/**
 * A study's survey as the page shows it: photos, spots read on each of them, zones, the drawing's frame, and what undo would take back.
 *
 * @phpstan-import-type ComparisonJson from \Described
 * @phpstan-import-type DifferenceJson from \Described
 * @phpstan-import-type FrameJson from \Described
 * @phpstan-import-type NamedSpotJson from \Described
 * @phpstan-import-type SurveyJson from \Described
 */
final class SurveyAnswers
{
    public function __construct(
        private readonly SurveyRepository $surveys,
        private readonly SpotReader $spots,
        private readonly DrawerKeeper $drawers,
        private readonly PhotoStore $photos,
        private readonly ZoneAnswers $zones,
        private readonly ZoneReader $reader,
        private readonly AtlasShelf $atlases,
        private readonly HandKeeper $hands,
    ) {
    }

    /** @return SurveyJson */
    public function survey(User $user, Study $study): array
    {
        $survey = $this->surveys->current($study);
        ['undo' => $undo, 'redo' => $redo] = $this->surveys->history($study);
        $photo = $study->photo();

        return [
            'stamp' => $this->surveys->stamp($study),
            'number' => $study->survey_number,
            'undoWords' => $undo,
            'redoWords' => $redo,
            'colourPhoto' => $photo->id,
            'photos' => array_values(
                $study->photos->map(
                    static fn (Photo $p): array => [
                        'id' => $p->id,
                        'name' => $p->name,
                        'width' => $p->width,
                        'height' => $p->height,
                        'roles' => $p->roles,
                        'neutral' => isset($survey->neutrals[$p->id]) ? RecipeResource::reading($survey->neutrals[$p->id]) : null,
                    ],
                )->all(),
            ),
            'spots' => $this->spotsOf($user, $study, $survey),
            'zones' => $survey->zones === null ? null : $this->zones->zones($survey, $photo),
            'frame' => self::frame($study),
        ];
    }

    public function spotList(User $user, Study $study): SpotList
    {
        $survey = $this->surveys->current($study);
        $planner = $this->planner($user, $study);

        return new SpotList(
            $study->name,
            array_values(
                array_map(function (NamedSpot $spot) use ($study, $survey, $planner): array {
                    $lab = $this->labOf($spot, $study->photo(), $survey);
                    $nearest = $planner?->nearestSingle($lab)->outcomes[0];

                    return [
                        'name' => $spot->name,
                        'lab' => $lab,
                        'nearest' => $nearest?->stack()->pencils()[0]->id(),
                        'deltaE00' => $nearest?->comparison()->deltaE00,
                    ];
                }, $survey->spots),
            ),
        );
    }

    /** @return ComparisonJson how one photo differs from another: as a whole, spot by spot, zone by zone */
    public function comparison(Study $study, Photo $one, Photo $other): array
    {
        $key = implode('/', [
            'comparison',
            $study->id,
            $this->surveys->stamp($study),
            $one->storage_key,
            $other->storage_key,
            md5($one->name),
        ]);

        return Computed::kept($key, 24 * 3600, fn (): array => $this->compared($study, $one, $other));
    }

    /** @return ComparisonJson */
    private function compared(Study $study, Photo $one, Photo $other): array
    {
        $survey = $this->surveys->current($study);
        $balances = [$survey->balanceOf($one->id), $survey->balanceOf($other->id)];
        $whole = new PhotoComparison($this->photos->grid($one, $balances[0]), $this->photos->grid($other, $balances[1]));
        $pairs = array_map(
            fn (NamedSpot $spot): array => [$spot->name, $this->labOf($spot, $one, $survey), $this->labOf($spot, $other, $survey)],
            array_values($survey->spots),
        );

        return [
            'one' => $one->id,
            'other' => $other->id,
            'sentence' => $whole->sentence('“'.$one->name.'”'),
            'bands' => array_map(
                static fn (string $band, Contrast $c): array => ['name' => $band, ...self::contrast($c)],
                array_keys($whole->bands),
                array_values($whole->bands),
            ),
            'spots' => array_map(self::pair(...), $pairs),
            'zones' => $survey->zones === null ? [] : array_map(self::pair(...), $this->reader->midsOnBoth($survey, $one, $other)),
        ];
    }

    /** @return list<string> the grey in the middle of every step, by step from 1 */
    public function greys(ValueScale $scale): array
    {
        return array_map(
            static fn (int $step): string => '#'.str_repeat(sprintf('%02x', ValuePlane::greyOf($scale->middleOf($step))), 3),
            range(1, $scale->steps),
        );
    }

    /**
     * @param  array{string, Lab, Lab}  $pair
     * @return DifferenceJson
     */
    private static function pair(array $pair): array
    {
        [$name, $one, $other] = $pair;

        return [
            'name' => $name,
            'oneHex' => Srgb::ofXyz($one->xyz())->hex(),
            'otherHex' => Srgb::ofXyz($other->xyz())->hex(),
            ...self::contrast(new Contrast($one, $other)),
        ];
    }

    /** @return array{words: string, steps: float, warmth: float, deltaE00: float} */
    private static function contrast(Contrast $c): array
    {
        return [
            'words' => $c->words(),
            'steps' => round($c->steps, 2),
            'warmth' => round($c->warmth, 1),
            'deltaE00' => Figures::difference($c->deltaE00),
        ];
    }

    /** @return list<NamedSpotJson> light to dark */
    private function spotsOf(User $user, Study $study, Survey $survey): array
    {
        if ($survey->spots === []) {
            return [];
        }
        $colour = $study->photo();
        $key = implode('/', [
            'spots',
            $study->id,
            $this->surveys->stamp($study),
            $study->photos->pluck('storage_key')->implode(','),
            $colour->id,
            $this->drawers->fingerprint($user),
            md5($this->hands->paper($user, $study->paper)->key()),
        ]);

        return Computed::kept($key, 24 * 3600, function () use ($user, $study, $survey, $colour): array {
            $planner = $this->planner($user, $study);
            $labs = array_map(fn (NamedSpot $s): Lab => $this->labOf($s, $colour, $survey), $survey->spots);
            uasort($labs, static fn (Lab $a, Lab $b): int => $b->l <=> $a->l);

            return array_map(
                fn (int|string $at, Lab $lab): array => $this->spot($study, $survey, $survey->spots[$at], $lab, $planner),
                array_keys($labs),
                $labs,
            );
        });
    }

    /** @return NamedSpotJson */
    private function spot(Study $study, Survey $survey, NamedSpot $spot, Lab $lab, ?RecipePlanner $planner): array
    {
        return [
            'number' => $spot->number,
            'name' => $spot->name,
            'families' => Family::besides($lab),
            'nearest' => $planner === null ? null : RecipeResource::nearest($planner->nearestSingle($lab)),
            'places' => array_values(
                $study->photos->map(
                    fn (Photo $p): array => [
                        'photo' => $p->id,
                        ...$spot->on($p->id)->toArray(),
                        'placed' => $spot->isPlacedOn($p->id),
                        'reading' => RecipeResource::reading($this->labOf($spot, $p, $survey)),
                    ],
                )->all(),
            ),
        ];
    }

    private function labOf(NamedSpot $spot, Photo $photo, Survey $survey): Lab
    {
        $at = $spot->on($photo->id);

        return $this->spots->read(
            $photo,
            (int) round($at->x * ($photo->width - 1)),
            (int) round($at->y * ($photo->height - 1)),
            $at->ring,
            $survey->balanceOf($photo->id),
        )->lab;
    }

    /** Nothing while the drawer is empty. */
    private function planner(User $user, Study $study): ?RecipePlanner
    {
        try {
            return new RecipePlanner(
                $this->drawers->drawerOf($user),
                $this->hands->paper($user, $study->paper),
                Method::free(),
                $this->atlases,
            );
        } catch (CoreError) {
            return null;
        }
    }

    /** @return FrameJson */
    private static function frame(Study $study): array
    {
        $frame = $study->frame();
        $grid = $frame->grid($study->grid_mm);

        return [
            'drawingWidthMm' => $study->drawing_width_mm,
            'drawingHeightMm' => $study->drawing_height_mm,
            'gridMm' => $study->grid_mm,
            'cutPlace' => $study->cut_place,
            'left' => $frame->left,
            'top' => $frame->top,
            'width' => $frame->width,
            'height' => $frame->height,
            'across' => $grid->across,
            'down' => $grid->down,
        ];
    }
}
