import { useState, type DragEvent, type ReactNode } from 'react';

interface FileDropProps {
    className?: string;
    children: ReactNode;
    onFile: (file: File) => void;
}

/**
 * Where a file can be dropped. The browser's own events do: what React Aria has for it also drags by keyboard, which files can't be, and is
 * 8 kB on the way to the first photo.
 */
export function FileDrop({ className, children, onFile }: FileDropProps) {
    const [isOver, setIsOver] = useState(false);
    const drop = (event: DragEvent) => {
        event.preventDefault();
        setIsOver(false);
        const file = event.dataTransfer.files[0];
        if (file !== undefined) {
            onFile(file);
        }
    };
    return (
        <div
            className={className}
            data-drop-target={isOver ? true : undefined}
            onDragOver={(event) => {
                event.preventDefault();
                setIsOver(true);
            }}
            onDragLeave={() => setIsOver(false)}
            onDrop={drop}
        >
            {children}
        </div>
    );
}
