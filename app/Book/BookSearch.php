<?php

declare(strict_types=1);

namespace App\Book;

use KnottyPrism\Core\Colour\Lab;

/** What somebody looks for in her book. */
final readonly class BookSearch
{
    private const MOST_WORDS = 8;

    /**
     * @param  ?Lab  $like  a colour that something in it comes to
     * @param  string  $text  words that all stand in it
     * @param  string  $pencil  identifier of one that it takes
     * @param  int  $skip  found ones that are known already
     */
    public function __construct(
        public ?Lab $like = null,
        public string $text = '',
        public string $pencil = '',
        public string $paper = '',
        public int $skip = 0,
    ) {
    }

    /** @return list<string> */
    public function words(): array
    {
        return array_slice(preg_split('/\s+/u', mb_strtolower(trim($this->text)), -1, PREG_SPLIT_NO_EMPTY) ?: [], 0, self::MOST_WORDS);
    }

    /** Whether nothing but a colour is asked for. */
    public function isEmptyBut(): bool
    {
        return $this->words() === [] && $this->pencil === '' && $this->paper === '';
    }
}
