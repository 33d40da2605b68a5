<?php

declare(strict_types=1);

namespace Tests\Architecture;

/** Which classes need which, and so which rooms (folders) need which: read from the code itself, not from comments and strings. */
final class Imports
{
    private const PREFIXES = ['core' => 'KnottyPrism\Core\\', 'app' => 'App\\'];

    /** @var array<string, list<string>> classes needed, by class; names without the prefix */
    private readonly array $needs;

    /** @param  'core'|'app'  $folder */
    public function __construct(Sources $sources, string $folder)
    {
        $prefix = self::PREFIXES[$folder];
        $needs = [];
        foreach (array_keys($sources->trees($folder)) as $file) {
            $needs[strtr(substr($file, strlen($folder) + 1, -4), '/', '\\')] = [];
        }
        foreach ($sources->names($folder, static fn (string $name): bool => str_starts_with($name, $prefix)) as $found) {
            [$file, $name] = explode(': ', $found);
            $class = strtr(substr($file, strlen($folder) + 1, -4), '/', '\\');
            $needed = substr($name, strlen($prefix));
            if ($needed !== $class && isset($needs[$needed])) {
                $needs[$class][] = $needed;
            }
        }
        $this->needs = $needs;
    }

    /**
     * @param  int  $depth  1 for the top folders, 2 for those within them, and so on; a folder with fewer levels is a room of its own
     * @return array<string, array<string, list<string>>> by room and room needed: "Class → Class"
     */
    public function rooms(int $depth): array
    {
        $room = static fn (string $class): string => implode(
            '\\',
            array_slice(explode('\\', $class), 0, min($depth, substr_count($class, '\\'))),
        );
        $edges = [];
        foreach ($this->needs as $class => $needed) {
            foreach ($needed as $other) {
                if ($room($class) !== $room($other)) {
                    $edges[$room($class)][$room($other)][] = "$class → $other";
                }
            }
        }

        return $edges;
    }

    /** @return list<string> "A → B → A", at every depth */
    public function cycles(): array
    {
        $cycles = [];
        for ($depth = 1; $depth <= 5; $depth++) {
            $edges = $this->rooms($depth);
            foreach (array_keys($edges) as $start) {
                $way = self::wayBack($edges, $start);
                if ($way !== null) {
                    $cycles[] = implode(' → ', $way);
                }
            }
        }

        return array_values(array_unique($cycles));
    }

    /**
     * @param  array<string, array<string, list<string>>>  $edges
     * @return list<string>|null the shortest way from a room back to itself
     */
    private static function wayBack(array $edges, string $start): ?array
    {
        $queue = [[$start]];
        $seen = [];
        while (($way = array_shift($queue)) !== null) {
            foreach (array_keys($edges[end($way)] ?? []) as $next) {
                if ($next === $start) {
                    return [...$way, $next];
                }
                if (! isset($seen[$next])) {
                    $seen[$next] = true;
                    $queue[] = [...$way, $next];
                }
            }
        }

        return null;
    }
}
