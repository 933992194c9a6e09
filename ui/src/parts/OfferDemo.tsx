import { Button } from 'antd';
import { useDemo, useShowDemo } from '../data/demo';
import { useFailed } from './useFailed';

/** Offers the demo where there is nothing yet; once there is, nothing is offered. */
export function OfferDemo() {
  const demo = useDemo();
  const show = useShowDemo();
  const failed = useFailed();
  if (!demo?.offered) {
    return null;
  }
  return (
    <p className="quiet">
      To look around first:{' '}
      <Button
        size="small"
        loading={show.isPending}
        onClick={() => show.mutate(undefined, { onError: (refused) => failed(refused.message) })}
      >
        Show the demo here
      </Button>{' '}
      A made-up summer around a northern sea. You can remove it again with one click.
    </p>
  );
}
