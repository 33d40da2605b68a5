<?php

declare(strict_types=1);

namespace App\Cli;

use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Desk\Order\WorkOrder;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\HandJson;
use KnottyPrism\Core\Formats\PaperJson;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Recipe\Method\Mode;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** What the commands have in common: files in, JSON out. */
trait Reads
{
    /** A drawer or list larger than this is some other file. */
    private const MOST_BYTES = 16_000_000;

    private function required(InputInterface $input, string $option): string
    {
        $value = $input->getOption($option);

        return is_string($value) && $value !== '' ? $value : throw BadFile::because("The call needs --$option; see docs/cli.md.");
    }

    /** @throws BadFile when it can't be read */
    private function readable(string $path): string
    {
        return is_file($path) && is_readable($path) ? $path : throw BadFile::because("There is no readable file \"$path\".");
    }

    private function file(string $path): string
    {
        $this->readable($path);
        if (filesize($path) > self::MOST_BYTES) {
            throw BadFile::because("The file \"$path\" is larger than 16 MB; that is no drawer and no list of colours.");
        }

        return (string) file_get_contents($path);
    }

    /** The zones of a folder that prism plan has written. */
    private function layers(string $folder): LabelGrid
    {
        $layers = new \Imagick($this->readable("$folder/layers.png"));
        [$width, $height] = [$layers->getImageWidth(), $layers->getImageHeight()];

        return new LabelGrid(
            $width,
            $height,
            pack('C*', ...$layers->exportImagePixels(0, 0, $width, $height, 'I', \Imagick::PIXEL_CHAR)),
        );
    }

    private function drawer(InputInterface $input): Drawer
    {
        return DrawerFile::drawer($this->file($this->required($input, 'drawer')));
    }

    /** A paper's name, or a JSON file; under the hand of a file, where the call names one. */
    private function paper(InputInterface $input): Paper
    {
        $paper = $this->required($input, 'paper');

        $found = is_file($paper) ? PaperJson::read($this->file($paper)) : PaperShelf::named($paper);
        $hand = $input->hasOption('hand') ? $input->getOption('hand') : null;

        return is_string($hand) ? $found->under(HandJson::hand($this->file($hand))) : $found;
    }

    private function workOrder(InputInterface $input): WorkOrder
    {
        return WorkOrder::tryFrom($this->required($input, 'work-order')) ??
            throw UnreadableText::choice('--work-order', array_column(WorkOrder::cases(), 'value'), $this->required($input, 'work-order'));
    }

    /** With the option that {@see self::mode()} reads. */
    private function takesMode(): static
    {
        $modes = implode('|', array_column(Mode::cases(), 'value'));

        return $this->addOption('mode', null, InputOption::VALUE_REQUIRED, $modes, Mode::ColourAndValue->value);
    }

    private function mode(InputInterface $input): Mode
    {
        return Mode::tryFrom($this->required($input, 'mode')) ??
            throw UnreadableText::choice('--mode', array_column(Mode::cases(), 'value'), $this->required($input, 'mode'));
    }

    /** @return list<string> the parts of an option between commas */
    private static function list(InputInterface $input, string $option): array
    {
        return array_values(
            array_filter(
                array_map(trim(...), explode(',', (string) $input->getOption($option))),
                static fn (string $part): bool => $part !== '',
            ),
        );
    }

    /** @return list<array{float, float}>|null four corners in pixels, from the top left clockwise; null when they are not given */
    private function corners(InputInterface $input, Photograph $photo): ?array
    {
        $given = self::list($input, 'corners');
        if ($given === []) {
            return null;
        }
        $shares = array_map(static fn (string $s): float => is_numeric($s) && $s >= 0 && $s <= 1 ? (float) $s : -1.0, $given);
        if (count($shares) !== 8 || min($shares) < 0) {
            throw UnreadableText::choice('--corners', ['eight shares from 0 to 1, x,y,x,y,x,y,x,y'], implode(',', $given));
        }

        return array_map(static fn (array $c): array => [$c[0] * $photo->width, $c[1] * $photo->height], array_chunk($shares, 2));
    }

    /** A whole number from 1, or null when the option is not given. */
    private function whole(InputInterface $input, string $option, int $most): ?int
    {
        $text = $input->getOption($option);
        if ($text === null) {
            return null;
        }
        if (! is_string($text) || ! ctype_digit($text)) {
            throw UnreadableText::choice("--$option", ["a whole number from 1 to $most"], is_string($text) ? $text : '');
        }

        return (int) OutOfRange::check("--$option", (float) $text, 1, $most);
    }

    /** @throws BadFile when it can't be written */
    private function write(string $path, string $bytes): void
    {
        if (str_contains($path, "\0") || @file_put_contents($path, $bytes) !== strlen($bytes)) {
            throw BadFile::because("The file \"$path\" can't be written: is the folder there, and is there room?");
        }
    }

    /** @param  array<mixed>  $data */
    private function json(OutputInterface $output, array $data): void
    {
        $output->writeln(self::encoded($data), OutputInterface::OUTPUT_RAW);
    }

    /** @param  array<mixed>  $data */
    private static function encoded(array $data): string
    {
        return json_encode(
            $data,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
        );
    }
}
