<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Decisions;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** One pass of a zone's sequence as it is kept: what it is done with, and how hard in which of the zone's colours. */
final readonly class PassNote
{
    /**
     * @param  string  $tool  a pencil's identifier, or a finish
     * @param  array<string, Pressure>  $pressures  by the shade's name; what is not there is left out
     */
    public function __construct(public string $tool, public array $pressures)
    {
    }

    /** @param  list<Shade>  $shades  of the zone */
    public static function of(GradedPass $pass, array $shades): self
    {
        $pressures = [];
        foreach ($shades as $i => $shade) {
            $pressure = $pass->pressures[$i] ?? null;
            if ($pressure !== null) {
                $pressures[$shade->name] = $pressure;
            }
        }

        return new self($pass->tool instanceof Finish ? $pass->tool->value : $pass->tool->id(), $pressures);
    }

    /**
     * @param  list<Shade>  $shades
     *
     * @throws UnknownPencil
     */
    public function read(Drawer $shelf, array $shades): GradedPass
    {
        return new GradedPass(
            Finish::tryFrom($this->tool) ?? $shelf->pencil($this->tool),
            array_map(fn (Shade $s): ?Pressure => $this->pressures[$s->name] ?? null, $shades),
        );
    }

    /** @return array<string, mixed> for JSON */
    public function toArray(): array
    {
        return ['tool' => $this->tool, 'pressures' => (object) array_map(static fn (Pressure $m): string => $m->value, $this->pressures)];
    }

    /** @param  array{tool: string, pressures: array<string, string>}  $data */
    public static function ofArray(array $data): self
    {
        return new self($data['tool'], array_map(Pressure::from(...), $data['pressures']));
    }
}
