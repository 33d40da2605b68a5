<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Kinds;

/** What there is of a kind (a finish, …): one class a file in the folder of the kind. Nothing else lists them, so that a new one is one new file. */
final class Found
{
    /** @var array<string, list<Kind>> by kind */
    private static array $found = [];

    /**
     * One of each class in the folder that is of the kind and can be made, in the order of their places, those alike by the names of their files.
     *
     * @template T of Kind
     *
     * @param  class-string<T>  $kind  an interface or abstract class of the namespace that the folder holds
     * @return list<T>
     */
    public static function of(string $kind, string $folder): array
    {
        if (! isset(self::$found[$kind])) {
            $namespace = substr($kind, 0, (int) strrpos($kind, '\\') + 1);
            $found = [];
            foreach (scandir($folder) ?: [] as $file) {
                $class = $namespace.substr($file, 0, -4);
                if (str_ends_with($file, '.php') && is_subclass_of($class, $kind) && ! (new \ReflectionClass($class))->isAbstract()) {
                    $found[] = new $class;
                }
            }
            usort($found, static fn (Kind $a, Kind $b): int => $a->place <=> $b->place);
            self::$found[$kind] = $found;
        }

        /** @var list<T> */
        return self::$found[$kind];
    }
}
