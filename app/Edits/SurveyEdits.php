<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\Photo;
use App\Models\Study;
use App\Photos\PhotoStore;
use App\Photos\SpotReader;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Fluent;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Borders\BorderKind;
use KnottyPrism\Core\Photo\Notes\NamedSpot;
use KnottyPrism\Core\Photo\Notes\SpotPlace;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\Distance;
use KnottyPrism\Core\Photo\Zones\Importance;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Photo\Zones\TouchNote;
use KnottyPrism\Core\Photo\Zones\ZoneNote;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/**
 * The changes that a page can ask for: what each needs, and what the core does with it. Places are shares of the photo's width and
 * height, 0–1; rings are pixels of the working copy.
 *
 * @phpstan-type Change Fluent<string, mixed>
 */
final class SurveyEdits
{
    private const MOST_POINTS = 3000;

    /** How two zones meet where the artist says nothing of it. */
    private const AS_THE_PHOTO = 'as the photo has it';

    public function __construct(private readonly PhotoStore $photos, private readonly SpotReader $spots)
    {
    }

    /** @return list<string> */
    public static function kinds(): array
    {
        return array_keys(self::needs());
    }

    /** @return array<string, mixed> validation rules of one kind of change */
    public static function rules(string $kind): array
    {
        return self::needs()[$kind] ?? [];
    }

    /**
     * @param  Change  $c  validated
     * @return array{Survey, string} the new survey, and what was done
     */
    public function made(Study $study, Survey $s, Fluent $c): array
    {
        $quoted = static fn (string $name): string => "“{$name}”";
        $zone = $c->integer('zone');
        $zoneName = static fn (): string => $quoted($s->sheet()->note($zone)->name);

        return match ((string) $c->string('kind')) {
            'addSpot', 'renameSpot', 'placeSpot', 'removeSpot' => $this->ofSpot($study, $s, $c),
            'proposeZones' => [
                $s->withZones(
                    ZoneSheet::proposed($this->photos->grid($study->photo(), $s->balanceOf($study->photo()->id)), $c->integer('most')),
                ),
                'propose zones',
            ],
            'renameZone' => [
                $s->withZones($s->sheet()->with($zone, $s->sheet()->note($zone)->named((string) $c->string('name')))),
                'rename '.$zoneName(),
            ],
            'mergeZones' => [
                $s->withZones($s->sheet()->merged($zone, $c->integer('with'))),
                'merge '.$quoted($s->sheet()->note($c->integer('with'))->name).' into '.$zoneName(),
            ],
            'splitZone' => [$s->withZones($s->sheet()->split($zone, self::points($c, 'line'))), 'split '.$zoneName()],
            'partZone' => [
                $s->withZones($s->sheet()->parted($zone, $c->float('x'), $c->float('y'))),
                'make a piece of '.$zoneName().' a zone of its own',
            ],
            'setBorder' => [
                $s->withZones($s->sheet()->meeting($zone, $c->integer('with'), BorderKind::tryFrom((string) $c->string('meets')))),
                self::borderWords((string) $c->string('meets')).
                $zoneName().
                ' and '.
                $quoted($s->sheet()->note($c->integer('with'))->name),
            ],
            'redrawZone' => [
                $s->withZones($s->sheet()->redrawn($zone === 0 ? null : $zone, self::points($c, 'outline'))),
                $zone === 0 ? 'draw a new zone' : 'add to '.$zoneName(),
            ],
            'takeFromZone' => [$s->withZones($s->sheet()->takenFrom($zone, self::points($c, 'outline'))), 'take from '.$zoneName()],
            'describeZone' => [
                $s->withZones($s->sheet()->with($zone, self::described($s->sheet()->note($zone), $c))),
                'describe '.$zoneName(),
            ],
            'moveShade', 'nameShade', 'dropShade', 'resetShades' => $this->ofRun($s, $zone, $c),
            'setTouches' => $this->touched($s, $zone, $c),
            'keepWhitesFrom' => [$s->withWhites($s->whites->keptFrom($c->float('from'))), 'keep whites by value'],
            'paintWhites' => [
                $s->withWhites($s->whites->painted($c->boolean('keep'), $c->float('radius'), self::points($c, 'points'))),
                $c->boolean('keep') ? 'paint a kept white' : 'paint a kept white out',
            ],
            'balance' => [
                $s->withNeutral($this->photo($study, $c)->id, $this->pointedAt($study, $c)),
                'balance '.$quoted($this->photo($study, $c)->name),
            ],
            'unbalance' => [
                $s->withNeutral($this->photo($study, $c)->id, null),
                'take the balance of '.$quoted($this->photo($study, $c)->name).' off',
            ],
            default => throw new \LogicException('the kind was validated'),
        };
    }

    /**
     * @param  Change  $c
     * @return array{Survey, string}
     */
    private function ofSpot(Study $study, Survey $s, Fluent $c): array
    {
        $name = (string) $c->string('name');
        $spot = $c->integer('spot');

        return match ((string) $c->string('kind')) {
            'addSpot' => [
                $s->withNewSpot($name, $this->photo($study, $c)->id, $c->float('x'), $c->float('y'), $c->integer('ring')),
                "keep the spot “{$name}”",
            ],
            'renameSpot' => [$s->withSpot($s->spot($spot)->named($name)), "rename the spot “{$s->spot($spot)->name}”"],
            'placeSpot' => [
                $s->withSpot(
                    $s->spot($spot)->placed(
                        $this->photo($study, $c)->id,
                        new SpotPlace($c->float('x'), $c->float('y'), $c->integer('ring')),
                    ),
                ),
                "move the spot “{$s->spot($spot)->name}”",
            ],
            default => [$s->withoutSpot($spot), "remove the spot “{$s->spot($spot)->name}”"],
        };
    }

    /**
     * What a zone asks for between its lights and darks.
     *
     * @param  Change  $c
     * @return array{Survey, string}
     */
    private function ofRun(Survey $s, int $zone, Fluent $c): array
    {
        $note = $s->sheet()->note($zone);
        $shade = ShadeName::tryFrom((string) $c->string('shade')) ?? ShadeName::Mid;
        [$changed, $done] = match ((string) $c->string('kind')) {
            'moveShade' => [$note->withPlace($shade, $c->float('place')), "move the $shade->value"],
            'nameShade' => [$note->withRun($note->run->named($shade, (string) $c->string('name'))), "name the $shade->value"],
            'dropShade' => [$note->withRun($note->run->without($shade)), "drop the $shade->value"],
            default => [$note->withoutPlaces(), 'reset the shades'],
        };

        return [$s->withZones($s->sheet()->with($zone, $changed)), "$done of “{$note->name}”"];
    }

    /** @return array<string, array<string, mixed>> */
    private static function needs(): array
    {
        $number = ['required', 'integer', 'min:1', 'max:255'];
        $share = ['required', 'numeric', 'min:0', 'max:1'];
        $name = ['required', 'string', 'max:80'];
        $ofRun = ['required', Rule::enum(ShadeName::class)->only([ShadeName::Light, ShadeName::Mid, ShadeName::Dark])];
        $place = [
            'photo' => ['required', 'integer'],
            'x' => $share,
            'y' => $share,
            'ring' => ['required', 'integer', 'min:0', 'max:'.NamedSpot::WIDEST_RING],
        ];
        $points = static fn (string $field, int $least): array => [
            $field => ['required', 'array', "min:$least", 'max:'.self::MOST_POINTS],
            "$field.*" => ['list', 'size:2'],
            "$field.*.*" => ['numeric', 'min:-1', 'max:2'],
        ];

        return [
            'addSpot' => ['name' => $name, ...$place],
            'renameSpot' => ['spot' => $number, 'name' => $name],
            'placeSpot' => ['spot' => $number, ...$place],
            'removeSpot' => ['spot' => $number],
            'proposeZones' => ['most' => ['required', 'integer', 'min:6', 'max:20']],
            'renameZone' => ['zone' => $number, 'name' => $name],
            'mergeZones' => ['zone' => $number, 'with' => $number],
            'splitZone' => ['zone' => $number, ...$points('line', 2)],
            'partZone' => ['zone' => $number, 'x' => $share, 'y' => $share],
            'setBorder' => [
                'zone' => $number,
                'with' => $number,
                'meets' => ['required', Rule::in([...array_column(BorderKind::cases(), 'value'), self::AS_THE_PHOTO])],
            ],
            'redrawZone' => ['zone' => ['nullable', 'integer', 'min:1', 'max:255'], ...$points('outline', 3)],
            'takeFromZone' => ['zone' => $number, ...$points('outline', 3)],
            'describeZone' => [
                'zone' => $number,
                'importance' => ['sometimes', new Enum(Importance::class)],
                'surface' => ['sometimes', new Enum(Surface::class)],
                'distance' => ['sometimes', new Enum(Distance::class)],
            ],
            'moveShade' => ['zone' => $number, 'shade' => $ofRun, 'place' => $share],
            'nameShade' => ['zone' => $number, 'shade' => $ofRun, 'name' => ['present', 'nullable', 'string', 'max:40']],
            'dropShade' => ['zone' => $number, 'shade' => $ofRun],
            'setTouches' => [
                'zone' => $number,
                'touches' => ['present', 'list', 'max:'.count(ShadeName::touches())],
                'touches.*.name' => ['required', 'string', 'max:40'],
                'touches.*.x' => $share,
                'touches.*.y' => $share,
            ],
            'resetShades' => ['zone' => $number],
            'keepWhitesFrom' => ['from' => ['required', 'numeric', 'min:50', 'max:101']],
            'paintWhites' => [
                'keep' => ['required', 'boolean'],
                'radius' => ['required', 'numeric', 'min:0.001', 'max:0.2'],
                ...$points('points', 1),
            ],
            'balance' => $place,
            'unbalance' => ['photo' => ['required', 'integer']],
        ];
    }

    private static function borderWords(string $meets): string
    {
        return match (BorderKind::tryFrom($meets)) {
            BorderKind::Sharp => 'make the border sharp between ',
            BorderKind::Grades => 'let the border grade between ',
            null => 'leave the border to the photo between ',
        };
    }

    /** @param  Change  $c */
    private static function described(ZoneNote $note, Fluent $c): ZoneNote
    {
        return $note->described(
            Importance::tryFrom((string) $c->string('importance')) ?? $note->importance,
            Surface::tryFrom((string) $c->string('surface')) ?? $note->surface,
            Distance::tryFrom((string) $c->string('distance')) ?? $note->distance,
        );
    }

    /**
     * @param  Change  $c
     * @return array{Survey, string}
     */
    private function touched(Survey $s, int $zone, Fluent $c): array
    {
        $note = $s->sheet()->note($zone);
        /** @var list<array{name: string, x: int|float, y: int|float}> $touches */
        $touches = $c->get('touches');

        return [
            $s->withZones($s->sheet()->with($zone, $note->withTouches(array_map(TouchNote::ofArray(...), $touches)))),
            "change the touches of “{$note->name}”",
        ];
    }

    /** @param  Change  $c */
    private function pointedAt(Study $study, Fluent $c): Lab
    {
        $photo = $this->photo($study, $c);

        return $this->spots->read(
            $photo,
            (int) round($c->float('x') * ($photo->width - 1)),
            (int) round($c->float('y') * ($photo->height - 1)),
            $c->integer('ring'),
        )->lab;
    }

    /** @param  Change  $c */
    private function photo(Study $study, Fluent $c): Photo
    {
        return $study->photos->firstWhere('id', $c->integer('photo')) ?? throw new ModelNotFoundException();
    }

    /**
     * @param  Change  $c
     * @return list<array{float, float}>
     */
    private static function points(Fluent $c, string $field): array
    {
        /** @var list<array{int|float, int|float}> $points */
        $points = $c->get($field);

        return array_map(static fn (array $p): array => [(float) $p[0], (float) $p[1]], array_values($points));
    }
}
