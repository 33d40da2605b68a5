<?php

declare(strict_types=1);

namespace App\Cli;

use App\Photos\PhotoIntake;
use App\Photos\Raster;
use App\Print\PaletteCard;
use App\Resources\PlannedPictureResource;
use Illuminate\Contracts\Console\Kernel;
use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Desk\Order\FindOrder;
use KnottyPrism\Core\Desk\Order\Sessions;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkOrder;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Formats\PlanSteps;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\StartingPoint;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** A whole picture: zones, recipes, palette, previews and the card, written into a folder all at once or not at all. */
final class PlanCommand extends Command
{
    use Reads;

    /** Longest side of the grid that zones are found in, and of the previews, pixels. */
    private const ZONE_SIDE = 240;

    /** Width of the drawing, where the call does not say it. */
    private const WIDE_MM = 297;

    protected function configure(): void
    {
        $this->takesMode()
            ->setName('plan')
            ->setDescription('A whole picture: zones, recipes, palette, previews and card')
            ->addOption('photo', null, InputOption::VALUE_REQUIRED, 'JPEG, PNG, WebP or TIFF')
            ->addOption('drawer', null, InputOption::VALUE_REQUIRED, 'drawer file, CSV or JSON')
            ->addOption('paper', null, InputOption::VALUE_REQUIRED, 'name of a paper, or a JSON file', 'white medium')
            ->addOption('hand', null, InputOption::VALUE_REQUIRED, 'what prism hand has written of one')
            ->addOption('pencils', null, InputOption::VALUE_REQUIRED, 'at most so many for the whole picture')
            ->addOption('keep', null, InputOption::VALUE_REQUIRED, 'pencils that the palette must hold, ID,ID…', '')
            ->addOption('without', null, InputOption::VALUE_REQUIRED, 'pencils that it must not, ID,ID…', '')
            ->addOption(
                'method',
                null,
                InputOption::VALUE_REQUIRED,
                'settings k=v,…; "" for free',
                implode(',', StartingPoint::LightToDark->method()->settings()),
            )
            ->addOption('zones', null, InputOption::VALUE_REQUIRED, 'at most so many, 1–20', '12')
            ->addOption(
                'surfaces',
                null,
                InputOption::VALUE_REQUIRED,
                'what zones are, N='.
                    implode('|', array_column(Surface::cases(), 'value')).
                    ',…; as it looks on the photo where nothing is said',
                '',
            )
            ->addOption('wide', null, InputOption::VALUE_REQUIRED, 'width of the drawing, mm', (string) self::WIDE_MM)
            ->addOption(
                'work-order',
                null,
                InputOption::VALUE_REQUIRED,
                'order of work that the previews by session go by: '.implode('|', array_column(WorkOrder::cases(), 'value')),
                WorkOrder::ZoneByZone->value,
            )
            ->addOption('session', null, InputOption::VALUE_REQUIRED, 'minutes', '60')
            ->addOption(
                'light',
                null,
                InputOption::VALUE_REQUIRED,
                'what the previews are seen under, '.implode('|', array_column(Illuminant::cases(), 'value')),
                Illuminant::D65->value,
            )
            ->addOption('loupe', null, InputOption::VALUE_REQUIRED, 'a place to draw at real scale besides, X,Y as shares of the picture')
            ->addOption('out', null, InputOption::VALUE_REQUIRED, 'folder to write into');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $out = rtrim($this->required($input, 'out'), '/');
        $photo = $this->readable($this->required($input, 'photo'));
        $zones = (int) $this->whole($input, 'zones', ZoneMap::MOST);
        $drawer = $this->drawer($input);
        $settings = $this->settings($input, $drawer);
        $surfaces = self::surfaces($input);
        $paper = $this->paper($input);
        $wide = (float) ($this->whole($input, 'wide', 2000) ?? self::WIDE_MM);
        $light =
            Illuminant::tryFrom($this->required($input, 'light')) ??
            throw UnreadableText::choice('--light', array_column(Illuminant::cases(), 'value'), $this->required($input, 'light'));
        $loupe = self::place($input);
        $habits = new WorkingHabits(
            $this->workOrder($input),
            session: (int) $this->whole($input, 'session', WorkingHabits::LONGEST_SESSION),
        );
        $start = hrtime(true);
        $staging = $out.'.'.getmypid().'.partial';
        Interrupted::onSignals();
        try {
            $copy = (new PhotoIntake())->take($photo);
            $small = Raster::scaled($copy, self::ZONE_SIDE);
            $grid = PixelGrid::ofSrgb($small->width, $small->height, $small->pixels);
            $plan = (new PlanPicture($drawer, $paper, $settings))->whole(
                $grid,
                ZoneMap::proposed($grid, $zones)->being($surfaces),
                $this->progress($output),
            );
            self::folder($staging);
            $labels = $plan->map->labels;
            file_put_contents("$staging/layers.png", Raster::encoded($labels->width, $labels->height, 1, $labels->bytes, 'png'));
            $drawings = new PlanDrawings($plan, $grid, $copy, $wide, $light);
            $answer = PlannedPictureResource::plan($plan);
            [$work] = PlanSteps::of(self::encoded($answer), $labels, $wide, $habits);
            $drawings->write(
                $staging,
                Sessions::of(FindOrder::for($work)->steps, $habits->session),
                static fn (int $done, int $of) => self::say($output, "preview $done of $of"),
            );
            if ($loupe !== null) {
                $drawings->loupe("$staging/loupe.png", ...$loupe);
            }
            $this->card($plan, pathinfo($photo, PATHINFO_FILENAME), $staging);
            $answer = [...$answer, 'seconds' => round((hrtime(true) - $start) / 1e9, 2)];
            file_put_contents("$staging/plan.json", self::encoded($answer)."\n");
            self::publish($staging, $out);
        } catch (Interrupted $interrupted) {
            self::say($output, 'prism: '.$interrupted->getMessage());

            return Interrupted::STATUS;
        } finally {
            self::discard($staging);
        }
        $this->json($output, [
            'out' => $out,
            'zones' => count($plan->map->zones),
            'pencils' => count($plan->palette()),
            'meanDeltaE00' => round($plan->meanDeltaE00(), 3),
            'seconds' => $answer['seconds'],
        ]);

        return self::SUCCESS;
    }

    /** @return array{float, float}|null shares of the picture; null when no loupe is asked for */
    private static function place(InputInterface $input): ?array
    {
        $text = $input->getOption('loupe');
        if ($text === null) {
            return null;
        }
        $shares = array_map(static fn (string $s): float => is_numeric($s) ? (float) $s : -1.0, self::list($input, 'loupe'));
        if (count($shares) !== 2 || min($shares) < 0 || max($shares) > 1) {
            throw UnreadableText::choice('--loupe', ['two shares from 0 to 1, X,Y'], is_string($text) ? $text : '');
        }

        return [$shares[0], $shares[1]];
    }

    /** @return array<int, Surface> by number of the zone */
    private static function surfaces(InputInterface $input): array
    {
        $surfaces = [];
        foreach (self::list($input, 'surfaces') as $said) {
            [$number, $surface] = array_map(trim(...), explode('=', $said, 2)) + [1 => ''];
            $surfaces[(int) $number] =
                Surface::tryFrom($surface) ??
                throw UnreadableText::choice(
                    '--surfaces',
                    array_map(static fn (Surface $s): string => "N=$s->value", Surface::cases()),
                    $said,
                );
        }

        return $surfaces;
    }

    private function settings(InputInterface $input, Drawer $drawer): PlanSettings
    {
        $ids = static fn (Drawer $of, string $option): array => array_map(
            static fn (string $id): string => $of->pencil($id)->id(),
            self::list($input, $option),
        );
        $without = $ids($drawer, 'without');
        $pencils = $this->whole($input, 'pencils', 1000);

        return new PlanSettings(
            [PlanSettings::WHOLE => Method::ofSettings(self::list($input, 'method'))->settings()],
            $this->mode($input),
            // More than a picture ever takes is all.
            $pencils !== null && $pencils <= PlanSettings::MOST_PENCILS ? $pencils : null,
            $ids($drawer->usable()->without($without), 'keep'),
            $without,
        );
    }

    /** The card is drawn by the application's templates, which want the framework around them but neither database nor server. */
    private function card(PlannedPicture $plan, string $name, string $folder): void
    {
        foreach (["$folder/var/storage/framework/views", "$folder/var/storage/framework/cache"] as $needed) {
            self::folder($needed);
        }
        putenv("KP_VAR=$folder/var");
        /** @var \Illuminate\Foundation\Application $app */
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();
        $outcomes = [];
        foreach ($plan->zones as $number => $zone) {
            foreach ($zone->answer->outcomes as $outcome) {
                $outcomes[] = ['name' => $plan->map->zones[$number]->name.': '.$outcome->shade->called(), 'outcome' => $outcome];
            }
        }
        file_put_contents("$folder/palette-card.pdf", (new PaletteCard())->pdf($name, $plan->paper->name, $outcomes, 'a4'));
    }

    /** @return \Closure(string, int, int): void */
    private function progress(OutputInterface $output): \Closure
    {
        return static fn (string $what, int $done, int $of) => self::say($output, "$what $done of $of");
    }

    private static function say(OutputInterface $output, string $line): void
    {
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($line, OutputInterface::OUTPUT_RAW);
    }

    private static function folder(string $path): void
    {
        if (! is_dir($path) && ! @mkdir($path, 0o777, true)) {
            throw BadFile::because("The folder \"$path\" can’t be made; choose another --out.");
        }
    }

    /** Moves the finished files over, one rename each. */
    private static function publish(string $from, string $to): void
    {
        self::folder($to);
        foreach (glob("$to/{preview,session}-*.png", GLOB_BRACE) ?: [] as $old) {
            unlink($old);
        }
        foreach (glob("$from/*.*") ?: [] as $file) {
            rename($file, $to.'/'.basename($file));
        }
    }

    private static function discard(string $folder): void
    {
        if (! is_dir($folder)) {
            return;
        }
        $files = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS),
            \RecursiveIteratorIterator::CHILD_FIRST,
        );
        foreach ($files as $file) {
            /** @var \SplFileInfo $file */
            $file->isDir() ? rmdir($file->getPathname()) : unlink($file->getPathname());
        }
        rmdir($folder);
    }
}
