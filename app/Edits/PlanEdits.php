<?php

declare(strict_types=1);

namespace App\Edits;

use App\Drawers\DrawerKeeper;
use App\Models\Study;
use App\Models\User;
use App\Plans\PlannedPictures;
use App\Plans\PlanRepository;
use Illuminate\Support\Fluent;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\PencilGrain;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Swatch;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;
use KnottyPrism\Core\Picture\Decisions\Recolour;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Sequence\Regrade;
use KnottyPrism\Core\Recipe\Warnings\WarningKind;

/** Every change that an artist can make to the plan of a picture: what each kind needs, and the sheet that comes of it. */
final class PlanEdits
{
    private const ZONE = ['required', 'integer', 'min:0', 'max:255'];

    private const SHADE = ['required', 'in:light,mid,dark,touch,touch-2,touch-3'];

    public function __construct(
        private readonly PlanRepository $plans,
        private readonly DrawerKeeper $drawers,
        private readonly PlannedPictures $pictures,
        private readonly SequenceEdits $sequences,
    ) {
    }

    /** @return list<string> */
    public static function kinds(): array
    {
        return ['method', 'mode', 'pencils', 'lock', 'hue', 'strokes', 'preset', 'sequence', 'regrade', 'remedy', 'overrule'];
    }

    /** @return array<string, mixed> */
    public static function rules(string $kind): array
    {
        $target = ['zone' => self::ZONE, 'shade' => self::SHADE];

        return match ($kind) {
            'method' => [
                'zone' => self::ZONE,
                'settings' => ['present', 'nullable', 'array', 'max:'.count(Method::kinds())],
                'settings.*' => ['string', 'max:60'],
            ],
            'mode' => ['mode' => ['required', Rule::enum(Mode::class)]],
            'pencils' => ['count' => ['present', 'nullable', 'integer']],
            'lock' => ['pencil' => ['required', 'string', 'max:130'], 'how' => ['required', 'in:in,out,free']],
            'hue' => ['zone' => self::ZONE, 'hue' => ['present', 'nullable', Rule::in(Recolour::CHOICES)]],
            'strokes' => [
                'how' => ['required', 'in:drawn,circles,form'],
                ...array_fill_keys(['x1', 'y1', 'x2', 'y2'], ['required', 'numeric', 'between:0,1']),
            ],
            'preset' => ['what' => ['required', 'in:exactly-three,one-colour,whole']],
            'sequence' => [
                'zone' => self::ZONE,
                'passes' => ['present', 'nullable', 'array', 'max:'.SequenceNote::MOST_PASSES],
                'passes.*.tool' => ['required', 'string', 'max:130'],
                'passes.*.pressures' => ['present', 'array:'.implode(',', ShadeName::values())],
                'passes.*.pressures.*' => ['nullable', Rule::enum(Pressure::class)],
            ],
            'regrade' => [
                'zone' => self::ZONE,
                'pass' => ['required', 'integer', 'min:0', 'max:'.SequenceNote::MOST_PASSES],
                'how' => ['required', Rule::enum(Regrade::class)],
            ],
            'remedy' => [...$target, 'code' => ['required', Rule::in(WarningKind::values())]],
            'overrule' => [
                ...$target,
                'code' => ['required', Rule::in(WarningKind::values())],
                'note' => ['present', 'nullable', 'string', 'max:300'],
            ],
            default => [],
        };
    }

    /**
     * @param  Fluent<string, mixed>  $change
     * @return array{PlanSheet, string} the new sheet, and in words what was done
     *
     * @throws ImpossibleChange
     */
    public function made(User $user, Study $study, PlanSheet $sheet, Fluent $change): array
    {
        $s = $sheet->settings;
        $zone = $change->integer('zone');
        [$shade, $code] = [(string) $change->string('shade'), (string) $change->string('code')];
        $with = static fn (mixed ...$changed): PlanSheet => $sheet->withSettings(
            new PlanSettings(...[...get_object_vars($s), ...$changed]),
        );

        return match ((string) $change->string('kind')) {
            'method' => [
                $with(methods: self::replaced($s->methods, $zone, $change->get('settings'))),
                $this->named($study, $zone, 'another method'),
            ],
            'mode' => [
                $with(mode: Mode::from((string) $change->string('mode'))),
                'plan for '.str_replace('-', ' ', (string) $change->string('mode')),
            ],
            'pencils' => [
                $with(pencils: $change->get('count') === null ? null : $change->integer('count')),
                $change->get('count') === null ? 'use the whole drawer' : 'use at most '.$change->integer('count').' pencils',
            ],
            'lock' => $this->locked($user, $s, $with, (string) $change->string('pencil'), (string) $change->string('how')),
            'hue' => [
                $with(hues: self::replaced($s->hues, $zone, $change->get('hue'))),
                $this->named($study, $zone, 'hues '.($change->get('hue') ?? 'as the whole')),
            ],
            'strokes' => $this->stroked($study, $s, $with, $change),
            'preset' => $this->preset($user, $with, (string) $change->string('what')),
            'sequence' => [
                $sheet->withSequence($zone, $this->sequences->asGiven($user, $change->get('passes'))),
                $this->named(
                    $study,
                    $zone,
                    $change->get('passes') === null ? 'give the sequence back to the planner' : 'change the sequence',
                ),
            ],
            'regrade' => [
                $sheet->withSequence(
                    $zone,
                    $this->sequences->regraded(
                        $user,
                        $study,
                        $zone,
                        $change->integer('pass'),
                        Regrade::from((string) $change->string('how')),
                    ),
                ),
                $this->named($study, $zone, 'a pass '.$change->string('how')),
            ],
            'remedy' => [$this->remedied($user, $study, $sheet, $zone, $shade, $code), $this->named($study, $zone, "remedy in $shade")],
            'overrule' => [
                $sheet->overruling($zone, $shade, $code, $change->get('note') === null ? null : (string) $change->string('note')),
                $this->named($study, $zone, "overrule a warning in $shade"),
            ],
            default => throw ImpossibleChange::unknown('kind of change'),
        };
    }

    /**
     * @param  \Closure(mixed...): PlanSheet  $with
     * @param  Fluent<string, mixed>  $change
     * @return array{PlanSheet, string}
     */
    private function stroked(Study $study, PlanSettings $s, \Closure $with, Fluent $change): array
    {
        [$x, $y] = [$change->float('x1'), $change->float('y1')];
        $zone = $this->plans->zoneAt($study, $x, $y) ?? throw ImpossibleChange::unknown('zone');
        [$direction, $words] = match ((string) $change->string('how')) {
            'drawn' => [
                PencilGrain::along(
                    ($change->float('x2') - $x) * $study->photo()->width,
                    ($change->float('y2') - $y) * $study->photo()->height,
                ),
                'strokes as drawn',
            ],
            'circles' => [PencilGrain::CIRCLES, 'small circles'],
            default => [null, 'strokes along the form'],
        };

        return [$with(strokes: self::replaced($s->strokes, $zone, $direction)), $this->named($study, $zone, $words)];
    }

    /** @throws ImpossibleChange when nothing that was tried removes the warning */
    private function remedied(User $user, Study $study, PlanSheet $sheet, int $zone, string $shade, string $code): PlanSheet
    {
        $ground = $this->plans->ground($user, $study);
        $ground->hasShade($zone, $shade);
        $remedied =
            $this->pictures->remedy($ground, $zone, $shade, $code) ??
            throw ImpossibleChange::because(
                'No remedy was found; change the sequence yourself, or ignore the warning with a note.',
            );

        return $sheet->withSequence($zone, SequenceNote::of($remedied->sequence, $ground->shades[$zone]));
    }

    /**
     * @param  \Closure(mixed...): PlanSheet  $with
     * @return array{PlanSheet, string}
     */
    private function locked(User $user, PlanSettings $s, \Closure $with, string $pencil, string $how): array
    {
        $id = $this->drawers->shelfOf($user)->pencil($pencil)->id();
        $keep = array_values(array_diff($s->keep, [$id]));
        $without = array_values(array_diff($s->without, [$id]));

        return match ($how) {
            'in' => [$with(keep: [...$keep, $id], without: $without), "keep $id in the palette"],
            'out' => [$with(keep: $keep, without: [...$without, $id]), "do without $id"],
            default => [$with(keep: $keep, without: $without), "leave $id to the planner"],
        };
    }

    /**
     * @param  \Closure(mixed...): PlanSheet  $with
     * @return array{PlanSheet, string}
     */
    private function preset(User $user, \Closure $with, string $what): array
    {
        if ($what === 'whole') {
            return [$with(pencils: null, keep: []), 'use the whole drawer'];
        }
        if ($what === 'exactly-three') {
            return [$with(pencils: 3, keep: []), 'exactly three: light, mid, dark'];
        }
        $pencils = $this->drawers->drawerOf($user)->usable()->pencils;
        $of = static fn (string $base): ?string => (
            array_values(
                array_filter(
                    $pencils,
                    static fn (Pencil $p): bool => (new ColourReading(Swatch::Heavy->colourOf($p)))->family->base === $base,
                ),
            )[0] ?? null
        )?->id();
        [$black, $white] = [$of('black'), $of('white')];
        if ($black === null || $white === null) {
            throw ImpossibleChange::because(
                'There is no '.
                    ($black === null ? 'black' : 'white').
                    ' available; note one as owned in the drawer, or choose three pencils another way.',
            );
        }

        return [$with(pencils: 3, keep: [$black, $white]), 'one colour with black and white'];
    }

    private function named(Study $study, int $zone, string $what): string
    {
        $ground = $zone === PlanSettings::WHOLE ? null : $this->plans->zoneName($study, $zone);

        return $ground === null ? $what : "$what, \"$ground\"";
    }

    /**
     * @template T
     *
     * @param  array<int, T>  $all
     * @param  T|null  $value
     * @return array<int, T>
     */
    private static function replaced(array $all, int $zone, mixed $value): array
    {
        unset($all[$zone]);
        if ($value !== null) {
            $all[$zone] = $value;
        }

        return $all;
    }
}
