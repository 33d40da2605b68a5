<?php

declare(strict_types=1);

namespace App\Cli;

use App\Photos\Raster;
use App\Photos\SheetPhotos;
use App\Print\ChartPages;
use App\Resources\Figures;
use Illuminate\Contracts\Console\Kernel;
use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\FilledSheet;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Chart\MeasuredPencils;
use KnottyPrism\Core\Chart\ReadChart;
use KnottyPrism\Core\Chart\Reading\BoxReading;
use KnottyPrism\Core\Chart\Reading\ChartReading;
use KnottyPrism\Core\Chart\ReadSwatches;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;
use KnottyPrism\Core\Chart\Sheet\SwatchGrid;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Formats\Drawers\Csv;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** A sheet to colour pencils in on, what a photo of it says, and a made-up photo to try both with. */
final class ChartCommand extends Command
{
    use Reads;

    private const WHAT = ['sheet', 'read', 'grid', 'photo'];

    private const SIDE = 1600;

    protected function configure(): void
    {
        $this->setName('chart')
            ->setDescription('Measure pencils from the photo of a sheet')
            ->addArgument('what', InputArgument::REQUIRED, implode('|', self::WHAT))
            ->addOption('drawer', null, InputOption::VALUE_REQUIRED, 'drawer file, CSV or JSON')
            ->addOption('size', null, InputOption::VALUE_REQUIRED, implode('|', array_keys(ChartSheet::SIZES)), 'a4')
            ->addOption('layout', null, InputOption::VALUE_REQUIRED, 'where the boxes are, JSON: written by sheet, read by the others')
            ->addOption('photo', null, InputOption::VALUE_REQUIRED, 'JPEG, PNG, WebP or TIFF of a page')
            ->addOption('paper', null, InputOption::VALUE_REQUIRED, 'name of a paper, or a JSON file', 'white medium')
            ->addOption(
                'corners',
                null,
                InputOption::VALUE_REQUIRED,
                'of the grid over a page of one\'s own, x,y from its top left clockwise, as shares of the photo',
            )
            ->addOption('rows', null, InputOption::VALUE_REQUIRED, 'of that grid')
            ->addOption('columns', null, InputOption::VALUE_REQUIRED, 'of that grid')
            ->addOption(
                'numbers',
                null,
                InputOption::VALUE_REQUIRED,
                'text file of its pencils row by row: a number and a name per line, or numbers between commas',
            )
            ->addOption('line', null, InputOption::VALUE_REQUIRED, 'that these pencils are of', '')
            ->addOption('page', null, InputOption::VALUE_REQUIRED, 'which page a made-up photo shows', '1')
            ->addOption('seed', null, InputOption::VALUE_REQUIRED, 'of a made-up photo; another one goes wrong otherwise', '1')
            ->addOption('out', null, InputOption::VALUE_REQUIRED, 'file to write');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        return match ($input->getArgument('what')) {
            'sheet' => $this->sheet($input, $output),
            'read' => $this->read($input, $output),
            'grid' => $this->grid($input, $output),
            'photo' => $this->photo($input, $output),
            default => throw UnreadableText::choice(
                'chart',
                self::WHAT,
                is_string($input->getArgument('what')) ? $input->getArgument('what') : '',
            ),
        };
    }

    private function sheet(InputInterface $input, OutputInterface $output): int
    {
        $pencils = $this->byId($this->drawer($input));
        $sheet = ChartSheet::of(array_keys($pencils), strtolower($this->required($input, 'size')));
        [$out, $layout] = [$this->required($input, 'out'), $this->required($input, 'layout')];
        $this->write($layout, self::encoded($sheet->toArray())."\n");
        $this->write(
            $out,
            self::drawn(
                $sheet,
                array_map(static fn (Pencil $p): array => ['number' => $p->record->number, 'name' => $p->record->name], $pencils),
            ),
        );
        $this->json($output, ['out' => $out, 'layout' => $layout, 'pages' => count($sheet->pages), 'pencils' => count($pencils)]);

        return self::SUCCESS;
    }

    private function read(InputInterface $input, OutputInterface $output): int
    {
        $sheet = ChartSheet::read($this->file($this->required($input, 'layout')));
        $known = $input->getOption('drawer') === null ? [] : $this->byId($this->drawer($input));
        $out = $this->required($input, 'out');
        $reading = ReadChart::page(
            SheetPhotos::read($this->readable($this->required($input, 'photo'))),
            $sheet,
            $this->paper($input),
            $known,
        );
        $pencils = array_map(
            static fn (string $id): SheetPencil => SheetPencil::ofId($id, isset($known[$id]) ? $known[$id]->record->name : ''),
            $sheet->pencils(),
        );

        return $this->measured($output, $out, $pencils, $reading, $this->paper($input));
    }

    /** Any page of swatches, read by a grid. */
    private function grid(InputInterface $input, OutputInterface $output): int
    {
        $pencils = SheetPencil::listed($this->file($this->required($input, 'numbers')), (string) $input->getOption('line'));
        $out = $this->required($input, 'out');
        $photo = SheetPhotos::read($this->readable($this->required($input, 'photo')));
        $corners =
            $this->corners($input, $photo) ??
            throw UnreadableText::choice('--corners', ['eight shares from 0 to 1, x,y,x,y,x,y,x,y'], '');
        $this->required($input, 'rows');
        $this->required($input, 'columns');
        $grid = new SwatchGrid(
            $corners,
            (int) $this->whole($input, 'rows', SwatchGrid::MOST_ROWS),
            (int) $this->whole($input, 'columns', SwatchGrid::MOST_COLUMNS),
            array_map(static fn (SheetPencil $p): string => $p->id(), $pencils),
        );

        return $this->measured($output, $out, $pencils, ReadSwatches::page($photo, $grid, $this->paper($input)), $this->paper($input));
    }

    /** @param  list<SheetPencil>  $pencils */
    private function measured(OutputInterface $output, string $out, array $pencils, ChartReading $reading, Paper $paper): int
    {
        $this->write($out, Csv::it()->write('', MeasuredPencils::rows($pencils, $reading->colours(), $paper)));
        $this->json($output, [
            'out' => $out,
            'page' => $reading->page + 1,
            'measured' => count($reading->swatches()),
            'empty' => $reading->empty(),
            'boxes' => array_map(
                static fn (BoxReading $b): array => [
                    'pencil' => $b->box->pencil,
                    'kind' => $b->box->kind->value,
                    'filled' => $b->filled,
                    ...Figures::colour($b->lab),
                    'doubt' => Figures::difference($b->doubt),
                    'note' => $b->note,
                ],
                $reading->boxes,
            ),
        ]);

        return self::SUCCESS;
    }

    private function photo(InputInterface $input, OutputInterface $output): int
    {
        $sheet = ChartSheet::read($this->file($this->required($input, 'layout')));
        $page = (int) $this->whole($input, 'page', count($sheet->pages));
        $seed = (int) $this->whole($input, 'seed', 1_000_000);
        $out = $this->required($input, 'out');
        $photo = BenchCamera::photograph(
            (new FilledSheet($sheet, $page - 1, $this->byId($this->drawer($input)), $this->paper($input), $seed))->flat,
            Shot::ordinary($seed),
            self::SIDE,
            $seed,
        );
        $this->write($out, Raster::encoded($photo->width, $photo->height, 3, $photo->pixels, 'jpeg'));
        $this->json($output, ['out' => $out, 'width' => $photo->width, 'height' => $photo->height]);

        return self::SUCCESS;
    }

    /** @return array<string, Pencil> */
    private function byId(Drawer $drawer): array
    {
        return array_combine(Pencil::identifiers($drawer->pencils), $drawer->pencils);
    }

    /**
     * The page is drawn by the application's templates, which want the framework around them but neither database nor server.
     *
     * @param  array<string, array{number: string, name: string}>  $labels
     */
    private static function drawn(ChartSheet $sheet, array $labels): string
    {
        $var = sys_get_temp_dir().'/knotty-prism-'.getmypid();
        foreach (["$var/storage/framework/views", "$var/storage/framework/cache"] as $needed) {
            mkdir($needed, 0700, true);
        }
        putenv("KP_VAR=$var");
        try {
            /** @var \Illuminate\Foundation\Application $app */
            $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
            $app->make(Kernel::class)->bootstrap();

            return (new ChartPages())->pdf($sheet, $labels);
        } finally {
            (new \Illuminate\Filesystem\Filesystem())->deleteDirectory($var);
        }
    }
}
