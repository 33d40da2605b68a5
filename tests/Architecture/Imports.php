<?php

declare(strict_types=1);

namespace Tests\Architecture;

/** Which folder of classes needs which: read from namespaces, imports and names of the same namespace; strings and prose are left out. */
final class Imports
{
    /** @var array<string, array<string, list<string>>> by folder and folder needed: "class → class" */
    public readonly array $edges;

    /** @var array<string, int> files by folder */
    public readonly array $files;

    /** @param  string  $root  folder of the classes, whose names begin with $prefix */
    public function __construct(string $root, string $prefix)
    {
        $sources = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file->getExtension() === 'php') {
                $sources[$prefix.strtr(substr($file->getPathname(), strlen($root) + 1, -4), '/', '\\')] = (string) file_get_contents($file->getPathname());
            }
        }
        ksort($sources);
        $edges = [];
        foreach ($sources as $class => $source) {
            foreach (self::needed($class, $source, $sources) as $needed) {
                $edges[self::folderOf($class)][self::folderOf($needed)][] = self::shortOf($class).' → '.self::shortOf($needed);
            }
        }
        foreach (array_keys($edges) as $folder) {
            unset($edges[$folder][$folder]);
        }
        $this->edges = $edges;
        $this->files = array_count_values(array_map(self::folderOf(...), array_keys($sources)));
    }

    /** @return list<string> "A → B → A" */
    public function cycles(): array
    {
        $cycles = [];
        foreach (array_keys($this->edges) as $start) {
            $way = $this->wayBack($start);
            if ($way !== null) {
                $cycles[] = implode(' → ', $way);
            }
        }

        return $cycles;
    }

    /** @return list<string>|null the shortest way from a folder to itself */
    private function wayBack(string $start): ?array
    {
        $queue = [[$start]];
        $seen = [];
        while (($way = array_shift($queue)) !== null) {
            foreach (array_keys($this->edges[end($way)] ?? []) as $next) {
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

    /**
     * @param  array<string, string>  $sources
     * @return list<string>
     */
    private static function needed(string $class, string $source, array $sources): array
    {
        $names = [];
        foreach (\PhpToken::tokenize($source) as $token) {
            if ($token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED])) {
                $names[] = ltrim($token->text, '\\');
            } elseif ($token->is(T_STRING)) {
                $names[] = self::folderOf($class).'\\'.$token->text;
            }
        }

        return array_values(array_filter(array_unique($names), static fn (string $name): bool => $name !== $class && isset($sources[$name])));
    }

    private static function folderOf(string $class): string
    {
        return substr($class, 0, (int) strrpos($class, '\\'));
    }

    private static function shortOf(string $class): string
    {
        return substr($class, (int) strrpos($class, '\\') + 1);
    }
}
