<?php

declare(strict_types=1);

namespace App\Plans;

use App\Cache\Computed;
use App\Photos\PhotoStore;
use App\Photos\Raster;
use App\Photos\SurveyRepository;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;
use KnottyPrism\Core\Picture\PlannedTarget;
use KnottyPrism\Core\Picture\Preview\ErrorMap;
use KnottyPrism\Core\Picture\Preview\Preview;

/** The picture as it will look after every pass, and how far the end is from the photo; drawn once for what it depends on. */
final class PlanImages
{
    private const VERSION = 1;

    private const KEPT_SECONDS = 7 * 24 * 3600;

    public function __construct(private readonly PlanRepository $plans, private readonly PhotoStore $photos, private readonly SurveyRepository $surveys)
    {
    }

    /** @return string a PNG at screen size; null as the step means the map of errors */
    public function after(PlanGround $ground, ?int $step, bool $grey): string
    {
        return Computed::kept($this->key($ground, $step === null ? 'error' : "$step/".(int) $grey), self::KEPT_SECONDS, function () use ($ground, $step, $grey): string {
            $photo = $this->photo($ground);
            $grid = PixelGrid::ofSrgb($photo->width, $photo->height, $photo->bytes);
            $bytes = $this->preview($ground)->after($step ?? PHP_INT_MAX, $photo->width, $photo->height, $grid->l, $grey);
            if ($step !== null) {
                return (new Raster($photo->width, $photo->height, $bytes))->png();
            }

            return Raster::encoded($photo->width, $photo->height, 1, ErrorMap::of($grid, PixelGrid::ofSrgb($photo->width, $photo->height, $bytes), 9), 'png');
        });
    }

    /** @return array{photo: list<float>, plan: list<float>} share of the area of each of nine value steps, the darkest first, 0–1 */
    public function valueRun(PlanGround $ground): array
    {
        /** @var array{photo: list<float>, plan: list<float>} */
        return Computed::kept($this->key($ground, 'values'), self::KEPT_SECONDS, function () use ($ground): array {
            $grid = $ground->grid();
            $bytes = $this->preview($ground)->after(PHP_INT_MAX, $grid->width, $grid->height, $grid->l);

            return ['photo' => ErrorMap::valueRun($grid), 'plan' => ErrorMap::valueRun(PixelGrid::ofSrgb($grid->width, $grid->height, $bytes))];
        });
    }

    private function preview(PlanGround $ground): Preview
    {
        $targets = PlannedPictures::targets($ground, $this->plans->planned($ground));
        $looks = array_unique(array_map(static fn (PlannedTarget $t): int => $t->zone, array_filter($targets, static fn (PlannedTarget $t): bool => $t->role->isOfValueRun())));
        if (count($looks) < count($ground->readings)) {
            throw ImpossibleChange::because('The picture can be drawn as soon as every zone is planned; plan it first.');
        }

        return new Preview($ground->paper, $ground->map(), $targets, $ground->whites());
    }

    private function photo(PlanGround $ground): PixelWindow
    {
        $screen = $this->photos->screen($ground->study->photo());
        $balance = $this->surveys->current($ground->study)->balanceOf($ground->study->photo()->id);

        return $balance === null ? $screen : $balance->applied($screen);
    }

    private function key(PlanGround $ground, string $what): string
    {
        return 'picture/'.md5(json_encode([self::VERSION, $what, PlanRepository::stackTexts($this->plans->planned($ground)), $ground->paper->key(), $ground->study->photo()->storage_key, $this->surveys->stamp($ground->study)], JSON_THROW_ON_ERROR));
    }
}
