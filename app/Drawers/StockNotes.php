<?php

declare(strict_types=1);

namespace App\Drawers;

use App\Models\PencilRow;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Drawer\Stock\NumberRange;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Drawer\Stock\StockNote;
use KnottyPrism\Core\Error\ImpossibleChange;

/** What is available and what is left of it, changed one pencil or one run of numbers at a time; every change can be undone. */
final class StockNotes
{
    public function __construct(private readonly DrawerKeeper $drawers, private readonly DrawerHistory $history)
    {
    }

    /** @param  array{stock?: string, lengthLeft?: ?float, discontinued?: bool, formerly?: list<string>, notes?: ?string}  $change */
    public function note(User $user, string $id, array $change): void
    {
        DB::transaction(fn () => $this->noteAlone($user, $id, $change));
    }

    /** @param  array{stock?: string, lengthLeft?: ?float, discontinued?: bool, formerly?: list<string>, notes?: ?string}  $change */
    private function noteAlone(User $user, string $id, array $change): void
    {
        $this->history->lock($user);
        $row = $this->drawers->row($user, $id);
        $was = $row->stockNote();
        $is = new StockNote(
            $was->state,
            $was->lengthLeft,
            $change['discontinued'] ?? $was->discontinued,
            $change['formerly'] ?? $was->formerly,
            $change['notes'] ?? (array_key_exists('notes', $change) ? '' : $was->notes),
        );
        $is = isset($change['stock']) ? $is->withState(Stock::from($change['stock'])) : $is;
        if (array_key_exists('lengthLeft', $change)) {
            $is =
                $change['lengthLeft'] === null
                    ? new StockNote($is->state, null, $is->discontinued, $is->formerly, $is->notes)
                    : $is->withLength($change['lengthLeft']);
        }
        if ($is == $was) {
            return;
        }
        $this->history->during($user, "note on $row->number", [$row], static function () use ($row, $was, $is): array {
            $row->update([
                ...PencilRow::columnsOfStock($is),
                ...$is->lengthLeft === $was->lengthLeft ? [] : ['length_noted_at' => time()],
            ]);
            // What is shorter than before was used up; the first length is measured against a whole pencil.
            $used = $is->lengthLeft === null ? 0.0 : ($was->lengthLeft ?? StockNote::FULL_MM) - $is->lengthLeft;

            return $used > 0 ? [$row->uses()->create(['millimetres' => $used])->id] : [];
        });
    }

    /**
     * Makes all pencils of a line whose numbers are in a range owned, or wanted, or whatever it is.
     *
     * @return int how many were changed
     */
    public function addRange(User $user, string $line, string $numbers, Stock $state): int
    {
        return DB::transaction(fn (): int => $this->addRangeAlone($user, $line, $numbers, $state));
    }

    /** @throws ImpossibleChange when the line has no such number */
    private function addRangeAlone(User $user, string $line, string $numbers, Stock $state): int
    {
        $this->history->lock($user);
        $range = NumberRange::of($numbers);
        $rows = $user->pencils()->where('line', $line)->get()->filter(static fn (PencilRow $row): bool => $range->holds($row->number));
        if ($rows->isEmpty()) {
            throw ImpossibleChange::because(
                sprintf(
                    '%s has no number in "%s"; look at the line to see which it has.',
                    $line === '' ? 'That line' : $line,
                    mb_substr($numbers, 0, 60),
                ),
            );
        }
        $changed = array_values($rows->filter(static fn (PencilRow $row): bool => $row->stock !== $state)->all());
        if ($changed !== []) {
            $this->history->during(
                $user,
                sprintf('make %d of %s %s', count($changed), $line === '' ? 'no line' : $line, $state->value),
                $changed,
                static function () use ($changed, $state): array {
                    foreach ($changed as $row) {
                        $row->update(PencilRow::columnsOfStock($row->stockNote()->withState($state)));
                    }

                    return [];
                },
            );
        }

        return count($changed);
    }
}
