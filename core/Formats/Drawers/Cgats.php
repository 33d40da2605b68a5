<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Drawers;

use KnottyPrism\Core\Colour\Adaptation;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Observer;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;

/**
 * Measurement text in the manner of CGATS.17: a table of samples with LAB_L, LAB_A, LAB_B (for D50, as measuring devices write them), or
 * with a reflectance for every ten nanometres (SPECTRAL_NM400 or the like, in hundredths or as shares). SAMPLE_ID is the pencil's number.
 */
final class Cgats extends DrawerFormat
{
    /** What spectral columns are called by different writers, before the wavelength. */
    private const SPECTRAL = '/^(?:SPECTRAL_NM_?|SPECTRAL_|SPEC_|NM|R_?)(\d{3})$/i';

    private const LAB = ['LAB_L', 'LAB_A', 'LAB_B'];

    public function __construct()
    {
        parent::__construct('cgats', 4, 'txt', 'text/plain', 'measurement text', 'number, name and Lab (CGATS)');
    }

    public function isOne(string $start): bool
    {
        return str_contains($start, 'BEGIN_DATA_FORMAT');
    }

    public function read(string $text): DrawerReading
    {
        DrawerFile::checkLines($text);
        $fields = self::format($text);
        $upper = array_map(strtoupper(...), $fields);
        $id = array_search('SAMPLE_ID', $upper, true);
        $name = array_search('SAMPLE_NAME', $upper, true);
        $lab = array_map(static fn (string $f): int|false => array_search($f, $upper, true), self::LAB);
        $bands = self::bands($fields);
        if ($id === false || (in_array(false, $lab, true) && count($bands) < 10)) {
            throw BadFile::because(
                'The measurement file needs SAMPLE_ID and either LAB_L, LAB_A and LAB_B or reflectances for every ten nanometres.',
            );
        }
        $problems = $records = [];
        $scale = self::scale($text, $bands);
        foreach (self::rows($text) as $line => $cells) {
            if (count($cells) !== count($fields)) {
                $problems[] = sprintf('line %d: it has %d values, but the format names %d.', $line, count($cells), count($fields));

                continue;
            }
            try {
                $colour = in_array(false, $lab, true)
                    ? self::ofSpectrum($line, $cells, $fields, $bands, $scale)
                    : Adaptation::fromD50(
                        ...array_map(
                            static fn (int|false $at): float => self::number($line, self::cell($cells, $at), self::cell($fields, $at)),
                            $lab,
                        ),
                    );
                $number = (string) preg_replace('~[@,/\s]+~', '-', self::cell($cells, $id));
                $records[$line] = ShelfRow::of(
                    new PencilRecord('', $number, $name === false ? '' : $cells[$name], Srgb::ofXyz($colour->xyz())->hex()),
                );
            } catch (BadFile|UnreadableText $error) {
                $problems[] = $error->getMessage();
            }
        }

        return $records !== [] || $problems !== []
            ? new DrawerReading($records, $problems)
            : throw BadFile::because('The measurement file has no samples between BEGIN_DATA and END_DATA.');
    }

    public function write(string $title, array $rows): string
    {
        return self::table(
            $title,
            self::LAB,
            array_map(static fn (ShelfRow $r): array => [$r->record, ...Adaptation::toD50(Lab::ofHex($r->record->heavy))], $rows),
        );
    }

    /**
     * @param  list<string>  $fields
     * @param  list<array{0: PencilRecord}|list<mixed>>  $samples  a pencil and its figures
     * @param  array<string, int>  $keywords
     */
    public static function table(string $title, array $fields, array $samples, array $keywords = []): string
    {
        $quoted = static fn (string $s): string => '"'.str_replace(['"', "\r", "\n"], ["'", ' ', ' '], $s).'"';
        $rows = array_map(static function (array $sample) use ($quoted): string {
            $record = array_shift($sample);

            return $quoted($record->number).
                ' '.
                $quoted($record->name).
                ' '.
                implode(' ', array_map(static fn (float $v): string => sprintf('%.4f', $v), $sample));
        }, $samples);

        return implode("\n", [
            'CGATS.17',
            '',
            'ORIGINATOR "Knotty Prism"',
            'DESCRIPTOR '.$quoted($title),
            ...array_map(
                static fn (string $f): string => 'KEYWORD "'.$f.'"',
                array_values(array_diff(['SAMPLE_NAME', ...array_keys($keywords), ...$fields], self::LAB)),
            ),
            ...array_map(static fn (string $k, int $v): string => "$k \"$v\"", array_keys($keywords), $keywords),
            '',
            'NUMBER_OF_FIELDS '.(2 + count($fields)),
            'BEGIN_DATA_FORMAT',
            implode(' ', ['SAMPLE_ID', 'SAMPLE_NAME', ...$fields]),
            'END_DATA_FORMAT',
            '',
            'NUMBER_OF_SETS '.count($rows),
            'BEGIN_DATA',
            ...$rows,
            'END_DATA',
            '',
        ]);
    }

    /** @return list<string> */
    private static function format(string $text): array
    {
        if (preg_match('/BEGIN_DATA_FORMAT(.*?)END_DATA_FORMAT/s', $text, $match) !== 1) {
            throw BadFile::because('The measurement file has no BEGIN_DATA_FORMAT … END_DATA_FORMAT that names its columns.');
        }

        return self::tokens($match[1]);
    }

    /** @return iterable<int, list<string>> by line of the file */
    private static function rows(string $text): iterable
    {
        $within = false;
        foreach (preg_split('/\r\n|\r|\n/', $text) ?: [] as $i => $line) {
            $line = trim($line);
            if ($line === 'BEGIN_DATA' || $line === 'END_DATA') {
                $within = $line === 'BEGIN_DATA';
            } elseif ($within && $line !== '' && $line[0] !== '#') {
                yield $i + 1 => self::tokens($line);
            }
        }
    }

    /** @return list<string> words, those in quotes whole */
    private static function tokens(string $text): array
    {
        preg_match_all('/"([^"]*)"|(\S+)/', $text, $matches, PREG_SET_ORDER);

        return array_map(static fn (array $m): string => ($m[2] ?? '') !== '' ? $m[2] : $m[1] ?? '', $matches);
    }

    /**
     * @param  list<string>  $fields
     * @return array<int, int> wavelength by column
     */
    private static function bands(array $fields): array
    {
        $bands = [];
        foreach ($fields as $column => $field) {
            if (preg_match(self::SPECTRAL, $field, $match) === 1) {
                $bands[$column] = (int) $match[1];
            }
        }

        return $bands;
    }

    /**
     * @param  list<string>  $cells
     * @param  list<string>  $fields
     * @param  array<int, int>  $bands
     */
    private static function ofSpectrum(int $line, array $cells, array $fields, array $bands, float $scale): Lab
    {
        $at = [];
        foreach ($bands as $column => $wavelength) {
            $at[$wavelength] = self::number($line, $cells[$column], $fields[$column]);
        }
        ksort($at);
        $reflectance = [];
        for ($i = 0; $i < Observer::BANDS; $i++) {
            $reflectance[] = max(0.0, self::between($at, 380 + 10 * $i) / $scale);
        }

        return Lab::ofReflectance($reflectance);
    }

    /**
     * Some write hundredths, some shares of one; a black alone would not show it, the whole file does.
     *
     * @param  array<int, int>  $bands  wavelength by column
     */
    private static function scale(string $text, array $bands): float
    {
        foreach (self::rows($text) as $cells) {
            if (max([0.0, ...array_map(floatval(...), array_intersect_key($cells, $bands))]) > 2.0) {
                return 100.0;
            }
        }

        return 1.0;
    }

    /**
     * The nearest ends stand for what was not measured.
     *
     * @param  array<int, float>  $at  by wavelength, ascending
     */
    private static function between(array $at, int $wavelength): float
    {
        $below = $above = null;
        foreach ($at as $nm => $value) {
            if ($nm <= $wavelength) {
                $below = [$nm, $value];
            } elseif ($above === null) {
                $above = [$nm, $value];
            }
        }
        if ($below === null || $above === null) {
            return ($below ?? ($above ?? [0, 0.0]))[1];
        }

        return $below[1] + (($wavelength - $below[0]) / ($above[0] - $below[0])) * ($above[1] - $below[1]);
    }

    private static function number(int $line, string $text, string $field): float
    {
        return is_numeric($text)
            ? (float) $text
            : throw BadFile::because(sprintf('line %d, column %s: "%s" is no number.', $line, $field, UnreadableText::shown($text)));
    }

    /** @param  list<string>  $cells */
    private static function cell(array $cells, int|false $at): string
    {
        return $at === false ? '' : $cells[$at];
    }
}
