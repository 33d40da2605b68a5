<?php

declare(strict_types=1);

namespace App\Plans;

use App\Cache\Computed;
use App\Photos\BorderReader;
use App\Photos\PhotoStore;
use App\Photos\Raster;
use App\Photos\SurveyRepository;
use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;
use KnottyPrism\Core\Picture\PassesLaid;
use KnottyPrism\Core\Picture\Preview\DrawnZone;
use KnottyPrism\Core\Picture\Preview\ErrorMap;
use KnottyPrism\Core\Picture\Preview\Loupe;
use KnottyPrism\Core\Picture\Preview\Material;
use KnottyPrism\Core\Picture\Preview\PartedByLight;
use KnottyPrism\Core\Picture\Preview\Preview;

/** The picture as it will look after every pass, and how far the end is from the photo; drawn once for what it depends on. */
final class PlanImages
{
    /** Side of the squares in which colours are compared, pixels. */
    private const SQUARE = 9;

    private const KEPT_SECONDS = 7 * 24 * 3600;

    /** There are as many pieces from near as there are places to look at. */
    private const LOUPE_KEPT_SECONDS = 24 * 3600;

    public function __construct(
        private readonly PlanRepository $plans,
        private readonly PhotoStore $photos,
        private readonly SurveyRepository $surveys,
        private readonly BorderReader $borders,
    ) {
    }

    /** @return string a PNG at screen size */
    public function after(PlanGround $ground, Stage $stage, SeenAs $seen): string
    {
        return Computed::kept($this->key($ground, $stage->key().'/'.$seen->key()), self::KEPT_SECONDS, function () use (
            $ground,
            $stage,
            $seen,
        ): string {
            $preview = $this->preview($ground, $stage);
            $material = $this->material($ground, $preview);

            return $seen->png($material->width, $material->height, $preview->after($stage->laid, $material, $seen->light));
        });
    }

    /** @return string a PNG: how far the end is from the photo */
    public function error(PlanGround $ground): string
    {
        return Computed::kept($this->key($ground, 'error'), self::KEPT_SECONDS, function () use ($ground): string {
            $preview = $this->preview($ground);
            $material = $this->material($ground, $preview);
            $bytes = $preview->after(PassesLaid::whole(), $material);
            $photo = $this->photo($ground);
            $map = ErrorMap::of(
                PixelGrid::ofSrgb($photo->width, $photo->height, $photo->bytes),
                PixelGrid::ofSrgb($photo->width, $photo->height, $bytes),
                self::SQUARE,
            );

            return Raster::encoded($photo->width, $photo->height, 1, $map, 'png');
        });
    }

    /**
     * @param  array{float, float}  $place  shares of the picture
     * @return string a PNG of a piece at real scale, see {@see Loupe}
     */
    public function loupe(PlanGround $ground, Stage $stage, array $place, SeenAs $seen): string
    {
        $photo = $ground->study->photo();
        $wide = $ground->study->frame()->wholeWidth();
        $loupe = Loupe::at($place[0], $place[1], $wide, $photo->width / $photo->height);

        return Computed::kept(
            $this->key($ground, "loupe/{$stage->key()}/{$seen->key()}/{$loupe->window->left}/{$loupe->window->top}"),
            self::LOUPE_KEPT_SECONDS,
            function () use ($ground, $stage, $seen, $photo, $wide, $loupe): string {
                $piece = $this->balanced($ground, $this->photos->window($photo, ...$loupe->pixels($photo->width, $photo->height)));
                $grid = Raster::resized($piece->width, $piece->height, $piece->bytes, Loupe::WIDTH, Loupe::HEIGHT);
                $preview = $this->preview($ground, $stage);

                return $seen->png(
                    Loupe::WIDTH,
                    Loupe::HEIGHT,
                    $preview->after($stage->laid, $preview->material($grid, $wide, $loupe->window), $seen->light),
                );
            },
        );
    }

    /** @return array{photo: list<float>, plan: list<float>} share of the area of each of nine value steps, the darkest first, 0–1 */
    public function valueRun(PlanGround $ground): array
    {
        /** @var array{photo: list<float>, plan: list<float>} */
        return Computed::kept($this->key($ground, 'values'), self::KEPT_SECONDS, function () use ($ground): array {
            $grid = $ground->grid();
            $preview = $this->preview($ground);
            $bytes = $preview->after(PassesLaid::whole(), $preview->material($grid, $ground->study->frame()->wholeWidth()));

            return [
                'photo' => ErrorMap::valueRun($grid),
                'plan' => ErrorMap::valueRun(PixelGrid::ofSrgb($grid->width, $grid->height, $bytes)),
            ];
        });
    }

    /** @return list<array{zone: string, shade: string, deltaE00: float}> what parts under a light, the farthest first */
    public function parted(PlanGround $ground, Illuminant $light): array
    {
        /** @var list<array{zone: string, shade: string, deltaE00: float}> */
        return Computed::kept(
            $this->key($ground, "parted/$light->value"),
            self::KEPT_SECONDS,
            fn (): array => array_map(
                static fn (PartedByLight $p): array => [
                    'zone' => $ground->zones->note($p->zone)->name,
                    'shade' => $p->shade->name,
                    'deltaE00' => round($p->farther, 1),
                ],
                PartedByLight::in(PlannedPictures::sequences($ground, $this->plans->zones($ground)), $light),
            ),
        );
    }

    /** What the picture is drawn on, the same after every pass: kept by itself, so that another pass is there at once. */
    private function material(PlanGround $ground, Preview $preview): Material
    {
        $key =
            'material/'.
            md5(
                json_encode(
                    [
                        $ground->study->photo()->storage_key,
                        $this->surveys->stamp($ground->study),
                        $ground->study->frame()->wholeWidth(),
                        $preview->ground(),
                    ],
                    JSON_THROW_ON_ERROR,
                ),
            );
        /** @var array{int, int, string, string, string, float, list<array{int, int}>, string} $kept */
        $kept = Computed::kept($key, self::KEPT_SECONDS, function () use ($ground, $preview): array {
            $photo = $this->photo($ground);
            $m = $preview->material(
                PixelGrid::ofSrgb($photo->width, $photo->height, $photo->bytes),
                $ground->study->frame()->wholeWidth(),
            );

            return [$m->width, $m->height, $m->looks, $m->levels, $m->grain, $m->mmPerPixel, $m->pairs, $m->bands];
        });

        return new Material(...$kept);
    }

    private function preview(PlanGround $ground, ?Stage $stage = null): Preview
    {
        $zones = $this->plans->zones($ground);
        $drawn = [];
        foreach ($zones as $zone) {
            $sequence =
                $stage->inOrder[$zone->zone] ??
                ($zone->sequence ??
                    throw ImpossibleChange::because('The preview needs every zone to be planned; plan the picture first.'));
            $drawn[] = DrawnZone::of($zone->zone, $zone->shades, $sequence);
        }

        return new Preview(
            $ground->paper,
            $ground->zones->labels,
            $ground->grid(),
            $drawn,
            $ground->whites(),
            $ground->sheet->settings->strokes,
            $this->borders->bands($this->surveys->current($ground->study), $ground->study->photo()),
        );
    }

    private function photo(PlanGround $ground): PixelWindow
    {
        return $this->balanced($ground, $this->photos->screen($ground->study->photo()));
    }

    private function balanced(PlanGround $ground, PixelWindow $seen): PixelWindow
    {
        $balance = $this->surveys->current($ground->study)->balanceOf($ground->study->photo()->id);

        return $balance === null ? $seen : $balance->applied($seen);
    }

    private function key(PlanGround $ground, string $what): string
    {
        return 'picture/'.
            md5(
                json_encode(
                    [
                        $what,
                        $ground->sheet->settings->strokes,
                        $ground->study->frame()->wholeWidth(),
                        PlanRepository::keysOf($this->plans->zones($ground)),
                        $ground->paper->key(),
                        $ground->study->photo()->storage_key,
                        $this->surveys->stamp($ground->study),
                    ],
                    JSON_THROW_ON_ERROR,
                ),
            );
    }
}
