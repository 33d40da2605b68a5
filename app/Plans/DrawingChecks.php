<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\DrawingCheckRow;
use App\Models\Study;
use App\Photos\Raster;
use App\Photos\SheetPhotos;
use App\Photos\WorkingCopy;
use App\Resources\CheckResource;
use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\DrawnPicture;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Chart\Check\CheckDrawing;
use KnottyPrism\Core\Chart\Check\CheckedShade;
use KnottyPrism\Core\Chart\Check\CheckedZone;
use KnottyPrism\Core\Chart\Check\DrawingPlan;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Picture\PassesLaid;

/** Photos of a study's half-done drawing, held against its plan and kept side by side. */
final class DrawingChecks
{
    /** Checks of a study that are kept. */
    private const KEPT = 12;

    /** Longer side of the photo that is kept, pixels. */
    private const SHOWN = 640;

    /** Of a made-up photo, and the width of the drawing and of the paper around in it, millimetres. */
    private const SIDE = 1200;

    private const ACROSS = 200.0;

    private const MARGIN = 18.0;

    public function __construct(private readonly PlanRepository $plans)
    {
    }

    /** @return list<DrawingCheckRow> the newest first */
    public function of(Study $study): array
    {
        return array_values(
            DrawingCheckRow::query()
                ->where('study_id', $study->id)
                ->latest('id')
                ->get(['id', 'study_id', 'passes', 'said', 'created_at'])
                ->all(),
        );
    }

    /**
     * @param  list<array{float, float}>|null  $corners  of the drawing as shares of the photo, where they were set by hand
     *
     * @throws BadPhoto|BadFile
     */
    public function photographed(PlanGround $ground, PassesLaid $progress, string $path, ?array $corners): DrawingCheckRow
    {
        return $this->checked($ground, $progress, SheetPhotos::read($path), $corners);
    }

    /** The same with a photo that the bench camera makes up of the drawing at that stage. */
    public function madeUp(PlanGround $ground, PassesLaid $progress, int $seed): DrawingCheckRow
    {
        $drawn = new DrawnPicture($this->plan($ground), $progress, self::ACROSS, self::MARGIN, $seed);

        return $this->checked($ground, $progress, BenchCamera::photograph($drawn->flat, Shot::ordinary($seed), self::SIDE, $seed), null);
    }

    /** @param  list<array{float, float}>|null  $corners */
    private function checked(PlanGround $ground, PassesLaid $progress, Photograph $photo, ?array $corners): DrawingCheckRow
    {
        $inPixels =
            $corners === null ? null : array_map(static fn (array $c): array => [$c[0] * $photo->width, $c[1] * $photo->height], $corners);
        $check = CheckDrawing::of($photo, $this->plan($ground), $progress, $ground->shelf->usable()->pencils, $inPixels);
        $small = Raster::scaled(new WorkingCopy($photo->width, $photo->height, '', $photo->pixels), self::SHOWN);
        $row = DrawingCheckRow::query()->create([
            'study_id' => $ground->study->id,
            'passes' => $progress->everywhere,
            'said' => [...CheckResource::of($check), 'zones' => self::apart($ground, $progress)],
            'photo' => base64_encode(Raster::encoded($small->width, $small->height, 3, $small->pixels, 'jpeg')),
            'map' => base64_encode(Raster::encoded($check->width, $check->height, 3, $check->differences, 'png')),
        ]);
        $older = DrawingCheckRow::query()->where('study_id', $ground->study->id)->latest('id')->skip(self::KEPT)->take(100)->pluck('id');
        DrawingCheckRow::query()->whereKey($older)->delete();

        return $row;
    }

    /** @return list<array{zone: int, name: string, passes: int}> zones that are laid farther, or less far, than the others */
    private static function apart(PlanGround $ground, PassesLaid $progress): array
    {
        $apart = [];
        foreach ($progress->byZone as $zone => $passes) {
            $apart[] = ['zone' => $zone, 'name' => $ground->zones->note($zone)->name, 'passes' => $passes];
        }

        return $apart;
    }

    private function plan(PlanGround $ground): DrawingPlan
    {
        $zones = [];
        foreach ($this->plans->zones($ground) as $zone) {
            $sequence =
                $zone->sequence ??
                throw ImpossibleChange::because(
                    'Some zones are not planned yet: plan the picture, then check the drawing.',
                );
            $zones[] = new CheckedZone($zone->zone, $ground->zones->note($zone->zone)->name, CheckedShade::run($zone->shades, $sequence));
        }
        $labels = $ground->zones->labels;
        // Where the paper is kept white nothing is laid: no zone is there.
        $drawn = new LabelGrid($labels->width, $labels->height, $labels->bytes & strtr($ground->whites(), "\0\1\2", "\xff\0\xff"));

        return new DrawingPlan($drawn, $ground->grid(), $zones, $ground->paper);
    }
}
