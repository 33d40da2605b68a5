<?php

declare(strict_types=1);

namespace App\Plans;

use App\Cache\Computed;
use App\Drawers\DrawerKeeper;
use App\Hands\HandKeeper;
use App\History\Versions;
use App\Models\PlanVersion;
use App\Models\Study;
use App\Models\User;
use App\Photos\SurveyRepository;
use App\Photos\ZoneReader;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Reading\ToneFit;
use KnottyPrism\Core\Photo\Zones\ZoneReading;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Picture\PlannedZone;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Picture\ReachableTone;
use KnottyPrism\Core\Picture\ZoneShades;
use KnottyPrism\Core\Recipe\Kits;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * The plan of a study's picture: what the artist decided, in versions, and what the planner found, in parts that are kept by all that
 * they depend on.
 */
final class PlanRepository
{
    private const KEPT_SECONDS = 7 * 24 * 3600;

    /** @var Versions<PlanVersion> */
    public readonly Versions $versions;

    public function __construct(
        public readonly PlanParts $parts,
        private readonly SurveyRepository $surveys,
        private readonly ZoneReader $zones,
        private readonly DrawerKeeper $drawers,
        private readonly AtlasShelf $atlases,
        private readonly HandKeeper $hands,
    ) {
        $this->versions = new Versions(PlanVersion::class, 'plan_number');
    }

    public function sheet(Study $study): PlanSheet
    {
        $first =
            $study->first_method === null || $study->first_method === ''
                ? []
                : [PlanSettings::WHOLE => explode(',', $study->first_method)];

        return $this->versions->current($study)?->sheet() ?? new PlanSheet(new PlanSettings($first));
    }

    /**
     * @param  \Closure(PlanSheet): array{PlanSheet, string}  $change  the new sheet, and in words what was done
     * @return int the version that it made, by its id
     */
    public function change(Study $study, \Closure $change): int
    {
        return $this->versions->change($study, function (Study $locked) use ($change): array {
            [$sheet, $words] = $change($this->sheet($locked));

            return [$sheet->toArray(), $words];
        });
    }

    /** @throws ImpossibleChange when the study has no zones yet */
    public function ground(User $user, Study $study): PlanGround
    {
        // Whoever asks, a worker or somebody who is shown it: it is worked out for its artist.
        Computed::for($user->id);
        $survey = $this->surveys->current($study);
        $sheet = $this->sheet($study);
        $zones = $survey->sheet();
        $photo = $study->photo();
        $shelf = $this->drawers->shelfOf($user);
        $paper = $this->hands->paper($user, $study->paper);
        $usable = $shelf->usable()->pencils;
        if ($usable === []) {
            throw ImpossibleChange::because('Your drawer is empty. Add pencils in “Drawer” before you plan.');
        }
        $fingerprint = $this->drawers->fingerprint($user);
        $grid = fn (): PixelGrid => $this->zones->grid($zones, $survey, $photo);
        // Reading zones from the photo takes most of the time, and changes with the survey, the paper and the drawer alone.
        /** @var array{array<int, ZoneReading>, ToneFit} $read */
        $read = Computed::kept(
            'picture-ground/'.
                md5(json_encode([$this->surveys->stamp($study), $photo->storage_key, $paper->key(), $fingerprint], JSON_THROW_ON_ERROR)),
            self::KEPT_SECONDS,
            fn (): array => [$this->zones->readings($survey, $photo), ReachableTone::fit($usable, $paper, $grid()->l)],
        );
        [$readings, $tone] = $read;
        $shades = [];
        foreach ($readings as $number => $reading) {
            $recolour = $sheet->settings->recolourOf($number);
            $shades[$number] = ZoneShades::of(
                $reading->zone,
                $zones->note($number)->importance->weight(),
                $sheet->settings->methodOf($number),
                static fn (Lab $lab): Lab => $tone->fitted($recolour->of($lab)),
            );
        }

        return new PlanGround(
            $study,
            $sheet,
            $zones,
            $readings,
            $tone,
            $shades,
            $shelf,
            $paper,
            $fingerprint,
            $grid,
            static fn (PixelGrid $grid): string => $survey->whites->on($grid),
        );
    }

    /** @param  ?Kits  $kits  where the same picture is likely to be planned again */
    public function planner(PlanGround $ground, ?Kits $kits = null): PlanPicture
    {
        return new PlanPicture($ground->shelf, $ground->paper, $ground->sheet->settings, $this->atlases, kits: $kits);
    }

    public function palettePart(PlanGround $ground): ?PalettePart
    {
        $value = $this->parts->one($ground->study, $ground->paletteKey());

        /** @var array{hand: list<string>, base: list<string>, curve: array<int, float>, suffering: array<int, float>}|null $value */
        return $value === null ? null : PalettePart::ofArray($value);
    }

    /**
     * What is planned so far for every zone: the artist's own sequence, or what the planner found, or nothing yet.
     *
     * @return list<PlannedZone>
     */
    public function zones(PlanGround $ground): array
    {
        $palette = $this->palettePart($ground);
        $keys = array_map(
            static fn (int $zone): ?string => $palette === null ? null : $ground->zoneKey($zone, $palette),
            array_keys($ground->shades),
        );
        $found = $this->parts->of($ground->study, array_values(array_filter($keys, is_string(...))));

        return array_map(
            static function (int $zone, array $shades, ?string $key) use ($ground, $found): PlannedZone {
                $own = self::sequence($ground, $ground->sheet->sequences[$zone] ?? null, $shades);
                $part = $found[$key ?? ''] ?? null;
                /** @var list<array{tool: string, pressures: array<string, string>}>|null $passes */
                $passes = $part['passes'] ?? null;

                return new PlannedZone(
                    $zone,
                    $shades,
                    $own ?? self::sequence($ground, $passes === null ? null : SequenceNote::ofArray($passes), $shades),
                    $own !== null ? 'your own' : (string) ($part['label'] ?? ''),
                    $own !== null,
                    $key,
                );
            },
            array_keys($ground->shades),
            $ground->shades,
            $keys,
        );
    }

    /** @throws ImpossibleChange when the zone is not there any more */
    public function zone(PlanGround $ground, int $number): PlannedZone
    {
        foreach ($this->zones($ground) as $zone) {
            if ($zone->zone === $number) {
                return $zone;
            }
        }

        throw ImpossibleChange::unknown('zone');
    }

    /**
     * Null when one of its pencils has left the shelf since: then the planner finds another.
     *
     * @param  list<Shade>  $shades
     */
    public static function sequence(PlanGround $ground, ?SequenceNote $note, array $shades): ?Sequence
    {
        try {
            return $note?->read($ground->shelf, $shades);
        } catch (UnknownPencil) {
            return null;
        }
    }

    /** The number of the zone at a place of the photo, in shares of it; null before there are zones. */
    public function zoneAt(Study $study, float $x, float $y): ?int
    {
        return $this->surveys->current($study)->zones?->labels->at($x, $y);
    }

    /** The name of a zone, or null when it is there no more. */
    public function zoneName(Study $study, int $zone): ?string
    {
        return ($this->surveys->current($study)->zones->notes[$zone] ?? null)?->name;
    }

    /**
     * What all that is drawn of a plan follows from, as text for a key.
     *
     * @param  list<PlannedZone>  $zones
     * @return list<array{int, array<mixed>}>
     */
    public static function keysOf(array $zones): array
    {
        return array_map(
            static fn (PlannedZone $z): array => [
                $z->zone,
                array_map(
                    static fn (Shade $s, int $i): array => [
                        $s->name,
                        $z->sequence?->stackIn($i)->text(),
                        round($s->seen->l, 2),
                        round($s->seen->a, 2),
                        round($s->seen->b, 2),
                    ],
                    $z->shades,
                    array_keys($z->shades),
                ),
            ],
            $zones,
        );
    }
}
