<?php

declare(strict_types=1);

namespace App\Cli;

use App\Photos\PhotoIntake;
use App\Photos\Raster;
use App\Photos\SheetPhotos;
use App\Resources\CheckResource;
use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\DrawnPicture;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Chart\Check\CheckDrawing;
use KnottyPrism\Core\Chart\Check\DrawingPlan;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Formats\PlanJson;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Picture\PassesLaid;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** A photo of a half-done drawing held against its plan: how each shade differs, and what to do next. */
final class CheckCommand extends Command
{
    use Reads;

    /** Longer side of a made-up photo, pixels; width of the drawing in it and of the paper around, millimetres. */
    private const SIDE = 1600;

    private const ACROSS = 200.0;

    private const MARGIN = 18.0;

    protected function configure(): void
    {
        $this->setName('check')
            ->setDescription('Hold a photo of a half-done drawing against its plan')
            ->addOption('plan', null, InputOption::VALUE_REQUIRED, 'folder that prism plan has written')
            ->addOption('drawer', null, InputOption::VALUE_REQUIRED, 'drawer file, CSV or JSON')
            ->addOption('paper', null, InputOption::VALUE_REQUIRED, 'name of a paper, or a JSON file; the plan\'s when not said')
            ->addOption('hand', null, InputOption::VALUE_REQUIRED, 'what prism hand has written of one')
            ->addOption('photo', null, InputOption::VALUE_REQUIRED, 'JPEG, PNG, WebP or TIFF of the drawing, with bare paper around it')
            ->addOption('done', null, InputOption::VALUE_REQUIRED, 'what is laid, JSON; all of it when not said')
            ->addOption(
                'corners',
                null,
                InputOption::VALUE_REQUIRED,
                'of the drawing, x,y from its top left clockwise, as shares of the photo',
            )
            ->addOption('made-up', null, InputOption::VALUE_REQUIRED, 'first make such a photo up, by this seed, and write it to --photo')
            ->addOption('out', null, InputOption::VALUE_REQUIRED, 'PNG to write the map of differences into');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $drawer = $this->drawer($input);
        $plan = $this->plan($input, $drawer);
        $done =
            $input->getOption('done') === null
                ? PassesLaid::whole()
                : PlanJson::progress($this->file($this->required($input, 'done')), $plan->zones);
        $seed = $this->whole($input, 'made-up', 1_000_000);
        if ($seed !== null) {
            $photo = BenchCamera::photograph(
                (new DrawnPicture($plan, $done, self::ACROSS, self::MARGIN, $seed))->flat,
                Shot::ordinary($seed),
                self::SIDE,
                $seed,
            );
            $this->write($this->required($input, 'photo'), Raster::encoded($photo->width, $photo->height, 3, $photo->pixels, 'jpeg'));
        }
        $photo = SheetPhotos::read($this->readable($this->required($input, 'photo')));
        $check = CheckDrawing::of($photo, $plan, $done, $drawer->usable()->pencils, $this->corners($input, $photo));
        $out = $input->getOption('out');
        if (is_string($out)) {
            $this->write($out, Raster::encoded($check->width, $check->height, 3, $check->differences, 'png'));
        }
        $this->json($output, CheckResource::of($check));

        return self::SUCCESS;
    }

    private function plan(InputInterface $input, Drawer $drawer): DrawingPlan
    {
        $folder = rtrim($this->required($input, 'plan'), '/');
        $json = $this->file("$folder/plan.json");
        $labels = $this->layers($folder);
        [$width, $height] = [$labels->width, $labels->height];
        $small = Raster::scaled((new PhotoIntake())->take($this->readable("$folder/reference.png")), max($width, $height));
        if ([$small->width, $small->height] !== [$width, $height]) {
            throw BadFile::because('layers.png and reference.png are not of one shape: they are not of the same plan.');
        }
        if ($input->getOption('paper') === null) {
            $data = json_decode($json, true);
            $input->setOption('paper', is_array($data) && is_string($data['paper'] ?? null) ? $data['paper'] : 'white medium');
        }

        return PlanJson::drawing(
            $json,
            $labels,
            PixelGrid::ofSrgb($small->width, $small->height, $small->pixels),
            $drawer,
            $this->paper($input),
        );
    }
}
