<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Drawers;

use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Kinds\Found;
use KnottyPrism\Core\Kinds\Kind;

/**
 * A form in which a drawer is written and read. Each is one class of this folder, which says all that is particular to it, and is found
 * there.
 */
abstract class DrawerFormat extends Kind
{
    /**
     * @param  string  $value  its name on the command line and in addresses
     * @param  int  $place  among the formats, as they are offered
     * @param  string  $ending  what the file's name ends in
     * @param  string  $type  media type, without its character set
     * @param  string  $name  as it is offered
     * @param  string  $holds  what of a drawer it holds
     */
    protected function __construct(
        string $value,
        int $place,
        public readonly string $ending,
        public readonly string $type,
        public readonly string $name,
        public readonly string $holds,
    ) {
        parent::__construct($value, $place);
    }

    /** @param  string  $start  of a file, without the space before it: whether that is of this form */
    abstract public function isOne(string $start): bool;

    /** @throws BadFile when the file as a whole can't be read */
    abstract public function read(string $text): DrawerReading;

    /** @param  list<ShelfRow>  $rows */
    abstract public function write(string $title, array $rows): string;

    final public static function cases(): array
    {
        /** @var list<static> */
        return Found::of(self::class, __DIR__);
    }
}
