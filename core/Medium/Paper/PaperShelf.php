<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Paper;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\UnreadableText;

/** The papers known by name. */
final class PaperShelf
{
    /** name => colour, roughness (1 = medium drawing paper), capacity in film units */
    private const PAPERS = [
        'white medium' => ['#f6f4ee', 1.0, 3.0],
        'white smooth' => ['#f7f6f2', 0.55, 2.2],
        'warm grey' => ['#a59d92', 1.0, 3.0],
        'black' => ['#232324', 0.95, 2.8],
        'drafting film' => ['#eef0ef', 0.18, 1.3],
    ];

    /** L* below which nobody sees what is printed in black. */
    private const PRINTED_FROM = 45.0;

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::PAPERS);
    }

    /** @return list<string> papers that a sheet can be printed on */
    public static function printable(): array
    {
        return array_values(
            array_filter(self::names(), static fn (string $name): bool => Lab::ofHex(self::PAPERS[$name][0])->l >= self::PRINTED_FROM),
        );
    }

    /** @throws UnreadableText when no paper has this name; hyphens and capitals are forgiven */
    public static function named(string $name): Paper
    {
        $key = str_replace(['-', '_'], ' ', mb_strtolower(trim($name)));
        [$hex, $roughness, $capacity] = self::PAPERS[$key] ?? throw UnreadableText::choice('the paper', self::names(), $name);

        return new Paper($key, $hex, new Tooth($roughness, $capacity));
    }
}
