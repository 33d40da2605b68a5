<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Kinds;

/**
 * What there is of a kind (a finish, …): one class a file in the folder of the kind. Nothing else lists them, so that a new one is one new
 * file.
 */
final class Found
{
    /** @var array<string, list<Kind>> by kind */
    private static array $found = [];

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $kind  an interface of enums, of the namespace that the folder holds
     * @return list<class-string<T>> the enums of the folder that are of the kind, by the names of their files
     */
    public static function enums(string $kind, string $folder): array
    {
        /** @var list<class-string<T>> */
        return array_values(array_filter(self::classes($kind, $folder), enum_exists(...)));
    }

    /**
     * @param  class-string  $kind
     * @return list<class-string> the classes of the folder that are of the kind
     */
    private static function classes(string $kind, string $folder): array
    {
        $namespace = substr($kind, 0, (int) strrpos($kind, '\\') + 1);
        $named = array_map(
            static fn (string $file): string => $namespace.substr($file, 0, -4),
            array_filter(scandir($folder) ?: [], static fn (string $file): bool => str_ends_with($file, '.php')),
        );

        /** @var list<class-string> */
        return array_values(array_filter($named, static fn (string $class): bool => is_subclass_of($class, $kind)));
    }

    /**
     * One of each class in the folder that is of the kind and can be made, in the order of their places, those alike by the names of their
     * files.
     *
     * @template T of Kind
     *
     * @param  class-string<T>  $kind  an interface or abstract class of the namespace that the folder holds
     * @return list<T>
     */
    public static function of(string $kind, string $folder): array
    {
        if (! isset(self::$found[$kind])) {
            $found = [];
            foreach (self::classes($kind, $folder) as $class) {
                if (! (new \ReflectionClass($class))->isAbstract()) {
                    /** @var Kind $one */
                    $one = new $class();
                    $found[] = $one;
                }
            }
            usort($found, static fn (Kind $a, Kind $b): int => $a->place <=> $b->place);
            self::$found[$kind] = $found;
        }

        /** @var list<T> */
        return self::$found[$kind];
    }
}
