import { useNavigate } from 'react-router';
import { join, keepAsCopy, takeTheirs } from '../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../state/store';

/** The build was saved elsewhere meanwhile: three ways on, none of which loses anything unasked. */
export function StaleNotice() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const mine = useAppSelector((state) => state.bench.unsaved.length);
  const copy = async () => {
    const id = await dispatch(keepAsCopy(`b-${crypto.randomUUID().slice(0, 12)}`));
    if (id) void navigate(`/b/${id}`);
  };
  return (
    <div role="alert" className="flex flex-wrap items-center gap-2 border-b border-line bg-wash px-4 py-1.5 text-[13px]">
      <span>This machine was saved elsewhere after you opened it. Your {mine === 1 ? 'change is' : `${mine} changes are`} kept here.</span>
      <button type="button" className="press" onClick={() => void dispatch(join())}>Join: mine on top of theirs</button>
      <button type="button" className="press" onClick={() => void copy()}>Keep mine as a copy</button>
      <button type="button" className="press" onClick={() => void dispatch(takeTheirs())}>Take theirs</button>
    </div>
  );
}
