<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Pencil;

/**
 * A pencil as the model knows it: absorption K per band and scattering S, both per unit of laid film (Kubelka–Munk), the
 * laydown rate q and the slickness a firm pass leaves. `assumed` names what no swatch was there to measure.
 */
final readonly class Pencil
{
    /** @var array<int, float> a = 1 + K/S per band */
    public array $a;

    /** @var array<int, float> b = √(a² − 1) per band */
    public array $b;

    public FilmTable $film;

    /**
     * @param  array<int, float>  $absorption  K, 36 bands
     * @param  list<string>  $assumed
     */
    public function __construct(
        public PencilRecord $record,
        public array $absorption,
        public float $scattering,
        public float $laydown,
        public float $slickness,
        public array $assumed,
    ) {
        [$this->a, $this->b] = Film::coefficients($absorption, $scattering);
        $this->film = new FilmTable($this->a, $this->b, $scattering);
    }

    public function id(): string
    {
        return $this->record->id();
    }

    /**
     * @param  list<self>  $pencils
     * @return list<string>
     */
    public static function identifiers(array $pencils): array
    {
        return array_map(static fn (self $p): string => $p->id(), $pencils);
    }

    /** The same pencil as one that lies in the drawer. */
    public function asOwned(): self
    {
        return $this->record->owned
            ? $this
            : new self($this->record->asOwned(), $this->absorption, $this->scattering, $this->laydown, $this->slickness, $this->assumed);
    }

    public function isBlender(): bool
    {
        return $this->record->binder === Binder::Blender;
    }
}
