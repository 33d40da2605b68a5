<?php

declare(strict_types=1);

namespace App\Cli;

use KnottyPrism\Core\Colour\ColourDifference;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\CoreError;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Colour arithmetic on lists: one row in, one object out, in order. A first row without a figure is taken as a header. */
final class ColourCommand extends Command
{
    use Reads;

    protected function configure(): void
    {
        $this->setName('colour')->setDescription('ΔE00 of pairs of CIELAB colours, or XYZ, CIELAB, LCh and OKLCh of #rrggbb')
            ->addOption('file', null, InputOption::VALUE_REQUIRED, 'CSV with rows L,a,b,L,a,b')
            ->addOption('srgb', null, InputOption::VALUE_REQUIRED, 'text file, one #rrggbb a row');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (is_string($input->getOption('file')) === is_string($input->getOption('srgb'))) {
            throw BadFile::because('The call needs either --file with pairs or --srgb with colours; see docs/cli.md.');
        }
        if (is_string($input->getOption('file'))) {
            $this->json($output, $this->each($this->file($this->required($input, 'file')), self::pair(...), headed: true));
        } else {
            $this->json($output, $this->each($this->file($this->required($input, 'srgb')), self::spaces(...), headed: false));
        }

        return self::SUCCESS;
    }

    /**
     * @param  \Closure(string): array<string, mixed>  $compute
     * @return list<array<string, mixed>>
     */
    private function each(string $text, \Closure $compute, bool $headed): array
    {
        $objects = [];
        foreach (preg_split('/\R/', trim($text)) ?: [] as $i => $row) {
            if (trim($row) === '' || ($headed && $i === 0 && ! is_numeric(trim(explode(',', $row)[0])))) {
                continue;
            }
            try {
                $objects[] = $compute(trim($row));
            } catch (CoreError $error) {
                throw BadFile::because(sprintf('Row %d: %s', $i + 1, $error->getMessage()));
            }
        }

        return $objects;
    }

    /** @return array<string, mixed> */
    private static function pair(string $row): array
    {
        $cells = array_map(trim(...), explode(',', $row));
        if (count($cells) < 6 || array_filter(array_slice($cells, 0, 6), static fn (string $c): bool => ! is_numeric($c)) !== []) {
            throw BadFile::because('a row is six figures, L,a,b,L,a,b.');
        }
        $f = array_map(floatval(...), array_slice($cells, 0, 6));

        return ['deltaE00' => round(ColourDifference::ciede2000(...$f), 8)];
    }

    /** @return array<string, mixed> */
    private static function spaces(string $hex): array
    {
        $srgb = Srgb::ofHex($hex);
        $xyz = $srgb->xyz();
        $lab = $srgb->lab();
        $oklch = Oklch::ofXyz($xyz);
        $round = static fn (float ...$values): array => array_map(static fn (float $v): float => round($v, 8), array_values($values));

        return [
            'hex' => $srgb->hex(),
            'xyz' => $round($xyz->x, $xyz->y, $xyz->z),
            'lab' => $round($lab->l, $lab->a, $lab->b),
            'lch' => $round($lab->l, $lab->chroma(), $lab->hueDegrees()),
            'oklch' => $round($oklch->lightness, $oklch->chroma, $oklch->hueDegrees),
        ];
    }
}
