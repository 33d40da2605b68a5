<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Desk\DeskBoard;
use App\Desk\DeskKeeper;
use App\Http\Requests\PrintRequest;
use App\Models\Study;
use App\Photos\BorderReader;
use App\Photos\PhotoStore;
use App\Photos\Raster;
use App\Photos\SurveyRepository;
use App\Plans\PlanGround;
use App\Plans\PlannedPictures;
use App\Plans\PlanRepository;
use App\Print\PlanSheets;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use KnottyPrism\Core\Desk\Order\Sessions;
use KnottyPrism\Core\Desk\Progress\ZoneAtDesk;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Formats\Drawers\DrawerFormat;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Palette\PlannedPalette;
use KnottyPrism\Core\Picture\PlannedZone;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/** What a planned picture gives to take along: sheets to print and the palette as a file. */
final class PlanSheetController extends Controller
{
    private const TYPES = ['gpl' => 'text/plain; charset=utf-8', 'csv' => 'text/csv; charset=utf-8'];

    public function __construct(
        private readonly PlanRepository $plans,
        private readonly DeskBoard $board,
        private readonly DeskKeeper $desk,
    ) {
    }

    public function sheet(
        PrintRequest $request,
        Study $study,
        string $kind,
        PlanSheets $sheets,
        PhotoStore $photos,
        SurveyRepository $surveys,
        BorderReader $borders,
    ): Response {
        $size = $request->size();
        $ground = $this->plans->ground($this->user($request), $study);
        $zones = $this->plans->zones($ground);
        $sequences = PlannedPictures::sequences($ground, $zones);
        $map = $ground->map();
        $screen = $photos->screen($study->photo());
        $pdf = match ($kind) {
            'zones' => $sheets->zones(
                $study->name,
                $study->paper,
                $map,
                $sequences,
                $borders->runsOut($study, $surveys->current($study)),
                new Raster($screen->width, $screen->height, $screen->bytes),
                $size,
            ),
            'steps' => $this->steps($ground, $map, $sheets, $size),
            default => $sheets->card($study->name, $study->paper, self::pencils($map, $zones), $size),
        };

        return new Response($pdf, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="'.Str::slug($study->name)."-$kind-$size.pdf\"",
            'Cache-Control' => 'no-store',
        ]);
    }

    /** Pass by pass in the order that the desk has for it, from bare paper. */
    private function steps(PlanGround $ground, ZoneMap $map, PlanSheets $sheets, string $size): string
    {
        $habits = $this->desk->habits($ground->study);
        $zones = $this->board->zones($ground, []);
        $chains = array_map(
            static fn (ZoneAtDesk $z): SequenceAnswer => SequenceAnswer::of(
                RecipeLabel::Surest,
                $z->chain,
                $z->shades,
                $ground->paper,
                $ground->sheet->settings->mode,
            ),
            $zones,
        );

        return $sheets->steps(
            $ground->study->name,
            $ground->study->paper,
            $map,
            $chains,
            Sessions::of($zones === [] ? [] : $this->board->order($ground, $zones, $habits), $habits->session),
            $ground->paper,
            $size,
        );
    }

    /**
     * The pencils of the plan, lightest first, each with the zones that take it.
     *
     * @param  list<PlannedZone>  $zones
     * @return list<array{pencil: Pencil, zones: list<string>, part: ?string}>
     */
    private static function pencils(ZoneMap $map, array $zones): array
    {
        $named = [];
        foreach (PlannedPalette::of(PlannedPictures::inZones($zones)) as $p) {
            $named[] = [
                'pencil' => $p->pencil,
                'zones' => array_map(static fn (int $zone): string => $map->zones[$zone]->name, $p->zones),
                'part' => $p->part,
            ];
        }

        return $named;
    }

    public function palette(Request $request, Study $study, string $kind): Response
    {
        $ground = $this->plans->ground($this->user($request), $study);
        $pencils = self::pencils($ground->map(), $this->plans->zones($ground));
        $text = DrawerFormat::from($kind)->write(
            $study->name,
            array_map(static fn (array $p): ShelfRow => ShelfRow::of($p['pencil']->record), $pencils),
        );

        return new Response($text, 200, [
            'Content-Type' => self::TYPES[$kind],
            'Content-Disposition' => 'attachment; filename="'.Str::slug($study->name)."-palette.$kind\"",
            'Cache-Control' => 'no-store',
        ]);
    }
}
