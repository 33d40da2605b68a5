<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Sheet;

use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\OutOfRange;

/** A pencil to be measured, as somebody writes it down: its number and, if they like, its name. */
final readonly class SheetPencil
{
    private const LONGEST = 60;

    public function __construct(public string $line, public string $number, public string $name)
    {
    }

    /**
     * One a row, "711 Dry reed" or "711"; several numbers in a row between commas.
     *
     * @return non-empty-list<self> in that order
     *
     * @throws BadFile naming the row
     * @throws OutOfRange for more than a sheet holds
     */
    public static function listed(string $text, string $line): array
    {
        $pencils = [];
        foreach (preg_split('/\R/', $text) ?: [] as $at => $row) {
            $parts =
                preg_match('/^[\s\w.\-]+(?:[,;\t][\s\w.\-]+)+[,;]?\s*$/u', $row) === 1 && preg_match('/[^\W\d_]{3}/u', $row) !== 1
                    ? preg_split('/[,;\t]/', $row)
                    : [$row];
            foreach ($parts ?: [] as $part) {
                if (trim($part) === '') {
                    continue;
                }
                [$number, $name] = (preg_split('/[\s,;]+/u', trim($part), 2) ?: []) + ['', ''];
                if (mb_strlen($number) > self::LONGEST || mb_strlen($name) > 2 * self::LONGEST) {
                    throw BadFile::because(sprintf('Row %d is too long for a pencil: write its number, a space and its name.', $at + 1));
                }
                $key = mb_strtolower($number);
                if (isset($pencils[$key])) {
                    throw BadFile::because(sprintf('Row %d names %s again; each pencil is coloured in once.', $at + 1, $number));
                }
                $pencils[$key] = new self(trim($line), $number, trim($name));
            }
        }
        OutOfRange::check('the number of pencils on the chart', count($pencils), 1, ChartSheet::MOST_PENCILS);

        return $pencils === [] ? throw new \LogicException('there is at least one') : array_values($pencils);
    }

    /** From an identifier, line and number. */
    public static function ofId(string $id, string $name): self
    {
        $slash = strrpos($id, '/');

        return $slash === false ? new self('', $id, $name) : new self(substr($id, 0, $slash), substr($id, $slash + 1), $name);
    }

    public function id(): string
    {
        return $this->line === '' ? $this->number : $this->line.'/'.$this->number;
    }
}
