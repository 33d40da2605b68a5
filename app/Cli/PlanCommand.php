<?php

declare(strict_types=1);

namespace App\Cli;

use App\Photos\PhotoIntake;
use App\Photos\Raster;
use App\Print\PaletteCard;
use App\Resources\PlannedPictureResource;
use Illuminate\Contracts\Console\Kernel;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Picture\PlannedTarget;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Picture\Preview\Preview;
use KnottyPrism\Core\Recipe\School\Mode;
use KnottyPrism\Core\Recipe\School\School;
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

    private const PREVIEW_SIDE = 1000;

    protected function configure(): void
    {
        $this->setName('plan')->setDescription('A whole picture: zones, recipes, palette, previews and card')
            ->addOption('photo', null, InputOption::VALUE_REQUIRED, 'JPEG, PNG, WebP or TIFF')
            ->addOption('drawer', null, InputOption::VALUE_REQUIRED, 'drawer file, CSV or JSON')
            ->addOption('paper', null, InputOption::VALUE_REQUIRED, 'name of a paper, or a JSON file', 'white medium')
            ->addOption('hand', null, InputOption::VALUE_REQUIRED, 'what prism hand has written of one')
            ->addOption('pencils', null, InputOption::VALUE_REQUIRED, 'at most so many for the whole picture')
            ->addOption('keep', null, InputOption::VALUE_REQUIRED, 'pencils that the palette must hold, ID,ID…', '')
            ->addOption('without', null, InputOption::VALUE_REQUIRED, 'pencils that it must not, ID,ID…', '')
            ->addOption('mode', null, InputOption::VALUE_REQUIRED, implode('|', array_column(Mode::cases(), 'value')), Mode::ColourAndValue->value)
            ->addOption('school', null, InputOption::VALUE_REQUIRED, 'settings k=v,…; "" for free', implode(',', School::opinion()->settings()))
            ->addOption('zones', null, InputOption::VALUE_REQUIRED, 'at most so many, 1–20', '12')
            ->addOption('out', null, InputOption::VALUE_REQUIRED, 'folder to write into');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $out = rtrim($this->required($input, 'out'), '/');
        $photo = $this->readable($this->required($input, 'photo'));
        $zones = (int) $this->whole($input, 'zones', ZoneMap::MOST);
        $drawer = $this->drawer($input);
        $settings = $this->settings($input, $drawer);
        $paper = $this->paper($input);
        $start = hrtime(true);
        $staging = $out.'.'.getmypid().'.partial';
        Interrupted::onSignals();
        try {
            $copy = (new PhotoIntake)->take($photo);
            $small = Raster::scaled($copy, self::ZONE_SIDE);
            $large = Raster::scaled($copy, self::PREVIEW_SIDE);
            $grid = PixelGrid::ofSrgb($small->width, $small->height, $small->pixels);
            $plan = (new PlanPicture($drawer, $paper, $settings))->whole($grid, ZoneMap::proposed($grid, $zones), $this->progress($output));
            self::folder($staging);
            $labels = $plan->map->labels;
            file_put_contents("$staging/layers.png", Raster::encoded($labels->width, $labels->height, 1, $labels->bytes, 'png'));
            $this->previews($plan, $large, $staging, $output);
            $this->card($plan, pathinfo($photo, PATHINFO_FILENAME), $staging);
            $answer = [...PlannedPictureResource::plan($plan), 'seconds' => round((hrtime(true) - $start) / 1e9, 2)];
            file_put_contents("$staging/plan.json", self::encoded($answer)."\n");
            self::publish($staging, $out);
        } catch (Interrupted $interrupted) {
            self::say($output, 'prism: '.$interrupted->getMessage());

            return Interrupted::STATUS;
        } finally {
            self::discard($staging);
        }
        $this->json($output, ['out' => $out, 'zones' => count($plan->map->zones), 'pencils' => count($plan->palette()), 'meanDeltaE00' => round($plan->meanDeltaE00(), 3), 'seconds' => $answer['seconds']]);

        return self::SUCCESS;
    }

    private function settings(InputInterface $input, Drawer $drawer): PlanSettings
    {
        $ids = static fn (Drawer $of, string $option): array => array_map(static fn (string $id): string => $of->pencil($id)->id(), self::list($input, $option));
        $without = $ids($drawer, 'without');
        $pencils = $this->whole($input, 'pencils', 1000);

        return new PlanSettings(
            [PlanSettings::WHOLE => School::ofSettings(self::list($input, 'school'))->settings()],
            $this->mode($input),
            // More than a picture ever takes is all.
            $pencils !== null && $pencils <= PlanSettings::MOST_PENCILS ? $pencils : null,
            $ids($drawer->usable()->without($without), 'keep'),
            $without,
        );
    }

    private function previews(PlannedPicture $plan, Raster $photo, string $folder, OutputInterface $output): void
    {
        $lightness = PixelGrid::ofSrgb($photo->width, $photo->height, $photo->pixels)->l;
        $preview = new Preview($plan->paper, $plan->map, $plan->targets);
        $steps = $plan->steps();
        for ($step = 0; $step <= $steps; $step++) {
            self::say($output, sprintf('preview %d of %d', $step + 1, $steps + 1));
            $png = (new Raster($photo->width, $photo->height, $preview->after($step, $photo->width, $photo->height, $lightness)))->png();
            file_put_contents(sprintf('%s/preview-%02d.png', $folder, $step), $png);
            if ($step === $steps) {
                file_put_contents("$folder/preview-final.png", $png);
                $grey = $preview->after($step, $photo->width, $photo->height, $lightness, grey: true);
                file_put_contents("$folder/preview-final-grey.png", (new Raster($photo->width, $photo->height, $grey))->png());
            }
        }
        file_put_contents("$folder/reference.png", $photo->png());
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
        $recipes = array_map(static fn (PlannedTarget $t): array => ['name' => $plan->map->zones[$t->zone]->name.': '.$t->role->value, 'recipe' => $t->recipe], $plan->targets);
        file_put_contents("$folder/palette-card.pdf", (new PaletteCard)->pdf($name, $plan->paper->name, $recipes, 'a4'));
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
            throw BadFile::because("The folder \"$path\" can not be made; choose another --out.");
        }
    }

    /** Moves the finished files over, one rename each. */
    private static function publish(string $from, string $to): void
    {
        self::folder($to);
        foreach (glob("$to/preview-*.png") ?: [] as $old) {
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
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS), \RecursiveIteratorIterator::CHILD_FIRST);
        foreach ($files as $file) {
            /** @var \SplFileInfo $file */
            $file->isDir() ? rmdir($file->getPathname()) : unlink($file->getPathname());
        }
        rmdir($folder);
    }
}
