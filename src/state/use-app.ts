import { useDispatch, useSelector } from 'react-redux';
import type { Dispatch, State } from './store';

export const useApp = useSelector.withTypes<State>();
export const useAppDispatch = useDispatch.withTypes<Dispatch>();
