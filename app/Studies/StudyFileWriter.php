<?php

declare(strict_types=1);

namespace App\Studies;

use App\Desk\DeskFile;
use App\Drawers\DrawerKeeper;
use App\Models\DrawingCheckRow;
use App\Models\KeptRecipe;
use App\Models\Photo;
use App\Models\Study;
use App\Models\User;
use App\Photos\PhotoStore;
use App\Photos\SurveyRepository;
use App\Plans\PlanRepository;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Formats\Drawers\Json;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;

/**
 * A whole study as one JSON file (docs/schemas/study.schema.json): photos, survey, plan, and the pencils that it takes. Brought in
 * elsewhere, every stack is held as it was, so that the plan is the same whatever drawer it comes to.
 */
final class StudyFileWriter
{
    /** Bytes of all photos together: as base64 they are a third larger, and the rest of a study needs room too. */
    private const MOST_PHOTO_BYTES = 110_000_000;

    public function __construct(
        private readonly SurveyRepository $surveys,
        private readonly PlanRepository $plans,
        private readonly DrawerKeeper $drawers,
        private readonly PhotoStore $store,
        private readonly DeskFile $desk,
    ) {
    }

    public function write(User $user, Study $study): string
    {
        $bytes = $study->photos->sum($this->store->originalBytes(...));
        if ($bytes > self::MOST_PHOTO_BYTES) {
            throw ImpossibleChange::because(
                sprintf(
                    'The photos of this study are %d MB together; a study file holds up to %d. Remove one that the plan doesn’t need, or '
                        .'add it in a smaller size.',
                    (int) ceil($bytes / 1e6),
                    (int) (self::MOST_PHOTO_BYTES / 1e6),
                ),
            );
        }
        // What can't be read any more is written as it is kept: a study that can't be shown can be saved all the same.
        $survey = rescue(fn (): array => $this->surveys->current($study)->toArray(), fn (): array => $this->surveys->kept($study));
        [$sheet, $used] = rescue(
            fn (): array => $this->heldPlan($user, $study),
            fn (): array => [$this->plans->versions->kept($study) ?? (new PlanSheet())->toArray(), []],
        );
        $entries = $study->keptRecipes()->get();
        foreach ($entries as $entry) {
            array_push($used, ...StackText::identifiers($entry->stack));
        }
        array_push($used, ...$this->desk->pencils($study));
        $rows = array_values(
            array_filter($this->drawers->shelfRows($user), static fn (ShelfRow $r): bool => in_array($r->record->id(), $used, true)),
        );

        return json_encode(
            [
                'format' => StudyFile::FORMAT,
                'version' => StudyFile::VERSION,
                'origin' => $study->origin(),
                'study' => $study->only(StudyFile::STUDY),
                'photos' => array_values(
                    $study->photos
                        ->map(
                            fn (Photo $p): array => [
                                'id' => $p->id,
                                'name' => $p->name,
                                'roles' => $p->roles,
                                'isFollowed' => $p->id === $study->colour_photo_id,
                                'data' => base64_encode($this->store->original($p)),
                            ],
                        )
                        ->all(),
                ),
                'survey' => $survey,
                'plan' => $sheet,
                'spots' => array_values($entries->map(static fn (KeptRecipe $e): array => $e->only(StudyFile::KEPT_RECIPE))->all()),
                'desk' => $this->desk->of($study),
                'checks' => array_values(
                    DrawingCheckRow::query()
                        ->where('study_id', $study->id)
                        ->orderBy('id')
                        ->get()
                        ->map(
                            static fn (DrawingCheckRow $c): array => [
                                ...$c->only(StudyFile::CHECK),
                                'made_at' => $c->created_at->getTimestamp(),
                            ],
                        )
                        ->all(),
                ),
                'pencils' => Json::pencils($rows),
            ],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        );
    }

    /**
     * The plan with every sequence held as it is now.
     *
     * @return array{array<string, mixed>, list<string>} and the pencils that they take
     */
    private function heldPlan(User $user, Study $study): array
    {
        $sheet = $this->plans->sheet($study);
        $used = [];
        if ($this->surveys->current($study)->zones !== null && $this->drawers->drawerOf($user)->usable()->pencils !== []) {
            $ground = $this->plans->ground($user, $study);
            foreach ($this->plans->zones($ground) as $zone) {
                if ($zone->sequence !== null) {
                    $sheet = $sheet->withSequence($zone->zone, SequenceNote::of($zone->sequence, $zone->shades));
                    array_push($used, ...Pencil::identifiers($zone->sequence->pencils()));
                }
            }
        }

        return [$sheet->toArray(), $used];
    }
}
