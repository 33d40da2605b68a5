<?php

declare(strict_types=1);

namespace App\Plans;

use App\Cache\Computed;
use App\Drawers\DrawerKeeper;
use App\History\Versions;
use App\Models\PlanVersion;
use App\Models\Study;
use App\Models\User;
use App\Photos\SurveyRepository;
use App\Photos\ZoneReader;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Reading\ToneFit;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Photo\Zones\ZoneReading;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Picture\PlannedWish;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Picture\ReachableTone;
use KnottyPrism\Core\Picture\Wish;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;

/**
 * The plan of a study's picture: what the artist decided, in versions, and what the planner found, in parts that are kept by all that
 * they depend on.
 */
final class PlanRepository
{
    private const VERSION = 2;

    private const KEPT_SECONDS = 7 * 24 * 3600;

    /** @var Versions<PlanVersion> */
    public readonly Versions $versions;

    public function __construct(public readonly PlanParts $parts, private readonly SurveyRepository $surveys, private readonly ZoneReader $zones, private readonly DrawerKeeper $drawers, private readonly AtlasShelf $atlases)
    {
        $this->versions = new Versions(PlanVersion::class, 'plan_number');
    }

    public function sheet(Study $study): PlanSheet
    {
        return $this->versions->current($study)?->sheet() ?? new PlanSheet;
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
        $survey = $this->surveys->current($study);
        $sheet = $this->sheet($study);
        $zones = $survey->sheet();
        $photo = $study->photo();
        $shelf = $this->drawers->shelfOf($user);
        $paper = PaperShelf::named($study->paper);
        $usable = $shelf->usable()->pencils;
        if ($usable === []) {
            throw ImpossibleChange::because('The drawer is empty. Bring pencils in under "Drawer" before you plan.');
        }
        $fingerprint = $this->drawers->fingerprint($user);
        $grid = fn (): PixelGrid => $this->zones->grid($zones, $survey, $photo);
        // Reading zones from the photo takes most of the time, and changes with the survey, the paper and the drawer alone.
        /** @var array{array<int, ZoneReading>, ToneFit} $read */
        $read = Computed::kept('picture-ground/'.md5(json_encode([self::VERSION, $this->surveys->stamp($study), $photo->storage_key, $paper->name, $fingerprint], JSON_THROW_ON_ERROR)), self::KEPT_SECONDS, fn (): array => [$this->zones->readings($survey, $photo), ReachableTone::fit($usable, $paper, $grid()->l)]);
        [$readings, $tone] = $read;
        $wishes = [];
        foreach ($readings as $number => $reading) {
            $recolour = $sheet->settings->recolourOf($number);
            array_push($wishes, ...Wish::of($number, $reading->zone, $zones->note($number)->importance->weight(), static fn (Lab $lab): Lab => $tone->fitted($recolour->of($lab))));
        }

        return new PlanGround($study, $sheet, $zones, $readings, $tone, $wishes, $shelf, $paper, $fingerprint, $grid, static fn (PixelGrid $grid): string => $survey->whites->on($grid));
    }

    public function planner(PlanGround $ground): PlanPicture
    {
        return new PlanPicture($ground->shelf, $ground->paper, $ground->sheet->settings, $this->atlases);
    }

    /** The planner of one zone's recipes, with the pencils that the plan's palette has. */
    public function plannerOf(PlanGround $ground, int $zone): RecipePlanner
    {
        return $this->planner($ground)->plannerFor($zone, $this->palettePart($ground));
    }

    public function palettePart(PlanGround $ground): ?PalettePart
    {
        $value = $this->parts->one($ground->study, $ground->paletteKey());

        /** @var array{hand: list<string>, base: list<string>, curve: array<int, float>, suffering: array<int, float>}|null $value */
        return $value === null ? null : PalettePart::ofArray($value);
    }

    /**
     * What is planned so far for every wish: the artist's own stack, or what the planner found, or nothing yet.
     *
     * @return list<PlannedWish>
     */
    public function planned(PlanGround $ground): array
    {
        $palette = $this->palettePart($ground);
        // The mids first: what a zone's other colours follow from.
        $isMid = static fn (Wish $w): bool => $w->role === Role::Mid;
        $inZone = $planned = [];
        foreach ([array_filter($ground->wishes, $isMid), array_filter($ground->wishes, static fn (Wish $w): bool => ! $isMid($w))] as $wishes) {
            $keys = array_map(static function (Wish $wish) use ($ground, $palette, $isMid, $inZone): ?string {
                $taken = $isMid($wish) ? [] : $inZone[$wish->zone] ?? null;

                return $palette === null || $taken === null ? null : $ground->targetKey($wish, $palette, $taken);
            }, $wishes);
            $found = $this->parts->of($ground->study, array_values(array_filter($keys, is_string(...))));
            foreach ($wishes as $i => $wish) {
                $planned[$i] = $one = $this->plannedWish($ground, $wish, $keys[$i], $found[$keys[$i] ?? ''] ?? null, $isMid($wish) ? [] : $inZone[$wish->zone] ?? []);
                if ($isMid($wish) && $one->stack !== null) {
                    $inZone[$wish->zone] = self::identifiers($one->stack);
                }
            }
        }
        ksort($planned);

        return array_values($planned);
    }

    /**
     * @param  array<string, mixed>|null  $found  the part of the plan, where there is one
     * @param  list<string>  $taken
     */
    private function plannedWish(PlanGround $ground, Wish $wish, ?string $key, ?array $found, array $taken): PlannedWish
    {
        $own = $this->own($ground, $wish);

        return new PlannedWish($wish, $own ?? ($found === null ? null : self::stack($ground, (string) $found['stack'])), $own !== null ? 'your own' : (string) ($found['label'] ?? ''), $own !== null, $key, $taken);
    }

    /** The name of a zone, or nothing when it is there no more. */
    public function zoneName(Study $study, int $zone): ?string
    {
        return ($this->surveys->current($study)->zones->notes[$zone] ?? null)?->name;
    }

    /**
     * What all that is drawn of a plan follows from, as text for a key.
     *
     * @param  list<PlannedWish>  $planned
     * @return list<array{int, string, ?string, float, float, float}>
     */
    public static function stackTexts(array $planned): array
    {
        return array_map(static fn (PlannedWish $p): array => [$p->wish->zone, $p->wish->role->value, $p->stack?->text(), round($p->wish->seen->l, 2), round($p->wish->seen->a, 2), round($p->wish->seen->b, 2)], $planned);
    }

    /** @return list<string> */
    public static function identifiers(Stack $stack): array
    {
        return array_map(static fn (Pencil $p): string => $p->id(), $stack->pencils());
    }

    /** @throws ImpossibleChange when the zone or the role is not there any more */
    public static function wish(PlanGround $ground, int $zone, Role $role): Wish
    {
        foreach ($ground->wishes as $wish) {
            if ($wish->zone === $zone && $wish->role === $role) {
                return $wish;
            }
        }

        throw ImpossibleChange::unknown('colour of a zone');
    }

    private function own(PlanGround $ground, Wish $wish): ?Stack
    {
        $text = $ground->sheet->note($wish->zone, $wish->role)->stack;

        return $text === null ? null : self::stack($ground, $text);
    }

    /** Nothing where one of its pencils has left the shelf since: then the planner finds another. */
    public static function stack(PlanGround $ground, string $text): ?Stack
    {
        try {
            return StackText::read($text, $ground->shelf);
        } catch (UnknownPencil) {
            return null;
        }
    }
}
